/** The handbook: one page a room, by task, opened where one is. */
@NullMarked
package embrack.app.handbook;

import org.jspecify.annotations.NullMarked;
