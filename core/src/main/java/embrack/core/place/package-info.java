/** Where switches lie under the foot: what a miss hits, how far the kill switch is, what is safe. */
@NullMarked
package embrack.core.place;

import org.jspecify.annotations.NullMarked;
