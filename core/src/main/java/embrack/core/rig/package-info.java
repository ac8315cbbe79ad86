/**
 * The rig: devices (jobs, each done by a model of hardware today), the cables between their sockets, and the ways that
 * messages can take.
 */
@NullMarked
package embrack.core.rig;

import org.jspecify.annotations.NullMarked;
