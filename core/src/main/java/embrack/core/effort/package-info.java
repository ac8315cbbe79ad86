/**
 * What work something takes, in links, presses and minutes: writing memories, swapping a box, one school against
 * another.
 */
@NullMarked
package embrack.core.effort;

import org.jspecify.annotations.NullMarked;
