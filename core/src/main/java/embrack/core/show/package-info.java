/** Songs with their sections and cues, and shows that put them in order. */
@NullMarked
package embrack.core.show;

import org.jspecify.annotations.NullMarked;
