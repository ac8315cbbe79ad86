package embrack.core.compile;

import embrack.core.midi.Message;
import java.util.Collection;
import java.util.List;

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

    /** Messages that are sent one right behind the other. */
    public static List<Sending> each(Collection<Message> messages) {
        return messages.stream().map(Sending::new).toList();
    }
}
