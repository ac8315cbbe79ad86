package embrack.core.gear;

import embrack.core.midi.MessageType;
import java.util.Objects;

/**
 * Lines of a chart that step together: the same verb on neighbouring parts, on neighbouring numbers.
 *
 * <p>"Mute, 24 strips from Input 1: CC from 40, value 127" makes CC 40 mute Input 1, CC 41 mute Input 2, and so on.
 *
 * @param first the first part of the run
 * @param count how many parts, 1 or more
 * @param number note, controller or program of the first part, as sent, 0 to 127; the last must not pass 127
 * @param value velocity or value sent, 0 to 127; 0 for a program change
 */
public record ChartRun(Verb verb, PartId first, int count, MessageType type, int number, int value) {

    public ChartRun {
        Objects.requireNonNull(verb, "verb");
        Objects.requireNonNull(first, "first");
        checkRun(count, number);
        new MessageTemplate(type, number, value);
    }

    /** The message of the part that stands {@code offset} places behind the first. */
    MessageTemplate template(int offset) {
        return new MessageTemplate(type, number + offset, value);
    }

    /** This run with another value. */
    ChartRun withValue(int other) {
        return new ChartRun(verb, first, count, type, number, other);
    }

    static void checkRun(int count, int number) {
        if (count < 1 || count > 128) {
            throw new IllegalArgumentException("a run covers 1 to 128 parts, was " + count);
        }
        if (number < 0 || number + count - 1 > 127) {
            throw new IllegalArgumentException("a run of %d numbers from %d leaves 0 to 127".formatted(count, number));
        }
    }
}
