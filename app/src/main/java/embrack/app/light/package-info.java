/** The lights room: looks on the stage, what hangs there, addresses, and what the desks hold. */
@NullMarked
package embrack.app.light;

import org.jspecify.annotations.NullMarked;
