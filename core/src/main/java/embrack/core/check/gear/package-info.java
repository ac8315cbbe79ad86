/** Rules about what is known of the hardware. */
@NullMarked
package embrack.core.check.gear;

import org.jspecify.annotations.NullMarked;
