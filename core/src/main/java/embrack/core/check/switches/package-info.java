/** Rules about what switches do, by their proofs. */
@NullMarked
package embrack.core.check.switches;

import org.jspecify.annotations.NullMarked;
