/** Serves the published schemas. */
@NullMarked
package embrack.app.formats;

import org.jspecify.annotations.NullMarked;
