package embrack.core.line;

import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;

/**
 * A message that came from a real box.
 *
 * @param atMicros when, by a clock that all that is heard shares, in microseconds
 * @param from the box at whose port it came in
 * @param count how many of its number came since the one before it, of which it is the last; the others are not told
 */
public record Heard(long atMicros, DeviceId from, Message message, int count) {

    public Heard {
        if (count < 1) {
            throw new IllegalArgumentException("a message that was heard came at least once, not " + count + " times");
        }
    }

    public Heard(long atMicros, DeviceId from, Message message) {
        this(atMicros, from, message, 1);
    }

    /** Whether others of its number came with it that are not told. */
    boolean isOneOfMany() {
        return count > 1;
    }
}
