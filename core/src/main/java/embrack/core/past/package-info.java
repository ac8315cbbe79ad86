/** Plans as they were: taken apart into things, held against one another, and put together again. */
@NullMarked
package embrack.core.past;

import org.jspecify.annotations.NullMarked;
