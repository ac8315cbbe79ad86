/**
 * The plan: rig and switches as one immutable whole; the edits that change it; the compiler that turns steps into
 * messages.
 */
@NullMarked
package embrack.core.plan;

import org.jspecify.annotations.NullMarked;
