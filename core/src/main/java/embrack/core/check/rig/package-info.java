/** Rules about devices and cables. */
@NullMarked
package embrack.core.check.rig;

import org.jspecify.annotations.NullMarked;
