/**
 * The plan: rig, switches, ways of working and prompt book as one immutable whole, and what of it belongs together.
 */
@NullMarked
package embrack.core.plan;

import org.jspecify.annotations.NullMarked;
