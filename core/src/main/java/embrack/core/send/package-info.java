/**
 * The other way: what Embrack itself sends to the real gear, and what is learned by it. Nothing here sends; it says
 * what may be sent and when ({@link embrack.core.send.Gate}), what is asked about each action ({@link
 * embrack.core.send.Asking}), and what is found by asking ({@link embrack.core.send.Seeking}).
 */
@NullMarked
package embrack.core.send;

import org.jspecify.annotations.NullMarked;
