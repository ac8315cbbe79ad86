/**
 * What one failure takes away: for every link, box, supply and app, which switches go with it; and what a pair
 * survives. What an evening lacks to which some boxes do not come.
 */
@NullMarked
package embrack.core.loss;

import org.jspecify.annotations.NullMarked;
