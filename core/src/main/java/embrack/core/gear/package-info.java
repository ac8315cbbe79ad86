/**
 * Gear: what a box is. A {@link embrack.core.gear.Model} has sockets, a surface to press and move, a memory with
 * settings, and answers: its chart, what it really does, and its habits. The {@link embrack.core.gear.library.Library}
 * holds the models that ship.
 */
@NullMarked
package embrack.core.gear;

import org.jspecify.annotations.NullMarked;
