/** What crews let each other read or copy: models and songs. */
@NullMarked
package embrack.app.share;

import org.jspecify.annotations.NullMarked;
