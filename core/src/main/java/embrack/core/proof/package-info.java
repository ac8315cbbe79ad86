/**
 * What a rig does in every state that it can reach: gestures as transitions between states, cones of what they depend
 * on, and the shortest story to a state in which one of them fails.
 */
@NullMarked
package embrack.core.proof;

import org.jspecify.annotations.NullMarked;
