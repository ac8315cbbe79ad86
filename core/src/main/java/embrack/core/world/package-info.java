/**
 * One engine: the whole state of a rig as a value, and what happens to it when something is pressed, sent or broken.
 * Proofs, rehearsals, songs and shows stand on it; nothing else in core simulates.
 */
@NullMarked
package embrack.core.world;

import org.jspecify.annotations.NullMarked;
