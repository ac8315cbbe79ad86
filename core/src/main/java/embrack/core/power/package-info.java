/**
 * Power: what runs from what, what that draws from each port and supply, what dies with it, and the order of switching
 * on.
 */
@NullMarked
package embrack.core.power;

import org.jspecify.annotations.NullMarked;
