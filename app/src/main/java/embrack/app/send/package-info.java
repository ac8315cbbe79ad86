/**
 * The other way: what Embrack sends to the real gear. {@link embrack.app.send.Gatekeeper} is the one place that hands
 * messages to a browser; {@code gate.js} is the one place that hands them to a port.
 */
@NullMarked
package embrack.app.send;

import org.jspecify.annotations.NullMarked;
