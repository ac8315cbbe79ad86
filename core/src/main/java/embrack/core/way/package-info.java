/**
 * The ways that messages take through a rig: out of a box, over a link, through the next box; what is kept back where,
 * how long each piece takes, where a way comes back to itself, and how full a cable is.
 */
@NullMarked
package embrack.core.way;

import org.jspecify.annotations.NullMarked;
