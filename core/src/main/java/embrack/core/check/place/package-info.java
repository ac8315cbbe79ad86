/** Rules about where switches lie under the foot. */
@NullMarked
package embrack.core.check.place;

import org.jspecify.annotations.NullMarked;
