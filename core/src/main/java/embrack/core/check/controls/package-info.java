/** Rules about treadles, faders and knobs. */
@NullMarked
package embrack.core.check.controls;

import org.jspecify.annotations.NullMarked;
