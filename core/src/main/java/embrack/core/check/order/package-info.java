/** Rules about shows and their order. */
@NullMarked
package embrack.core.check.order;

import org.jspecify.annotations.NullMarked;
