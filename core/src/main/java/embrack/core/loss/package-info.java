/**
 * What one failure takes away: for every link, box, supply and app, which switches go with it; and what a pair
 * survives.
 */
@NullMarked
package embrack.core.loss;

import org.jspecify.annotations.NullMarked;
