/** The folder that goes to the venue: who gets what, on paper and as one file. */
@NullMarked
package embrack.app.folder;

import org.jspecify.annotations.NullMarked;
