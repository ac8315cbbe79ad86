/** The checks: all rules in one catalogue, and the report they make of a plan. */
@NullMarked
package embrack.core.check;

import org.jspecify.annotations.NullMarked;
