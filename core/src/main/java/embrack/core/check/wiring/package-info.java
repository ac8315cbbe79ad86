/** Rules about links and the ways over them. */
@NullMarked
package embrack.core.check.wiring;

import org.jspecify.annotations.NullMarked;
