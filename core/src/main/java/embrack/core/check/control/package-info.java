/** Rules about treadles, faders and knobs. */
@NullMarked
package embrack.core.check.control;

import org.jspecify.annotations.NullMarked;
