/** Rules about power. */
@NullMarked
package embrack.core.check.power;

import org.jspecify.annotations.NullMarked;
