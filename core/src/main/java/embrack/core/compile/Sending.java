package embrack.core.compile;

import embrack.core.midi.Message;

/**
 * One message that a box sends.
 *
 * @param waitMillis how long it waits before it, behind the one before
 */
public record Sending(Message message, int waitMillis) {

    /** A message that is sent at once. */
    public Sending(Message message) {
        this(message, 0);
    }
}
