package embrack.core.gear;

import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import java.util.Objects;

/**
 * What a box really does when messages of a run of numbers arrive.
 *
 * @param first the first part of the run
 * @param count how many parts, 1 or more
 * @param number note, controller or program of the first part, 0 to 127; the last must not pass 127
 * @param from lowest value it reacts to, 0 to 127
 * @param to highest value it reacts to, from {@code from} to 127
 */
public record ReactionRun(Verb verb, PartId first, int count, MessageType type, int number, int from, int to) {

    public ReactionRun {
        Objects.requireNonNull(verb, "verb");
        Objects.requireNonNull(first, "first");
        ChartRun.checkRun(count, number);
        MessageTemplate.requireChartType(type);
        DataByte.checked("from", from);
        DataByte.checked("to", to);
        if (from > to) {
            throw new IllegalArgumentException("values run from low to high, was %d to %d".formatted(from, to));
        }
    }

    /** The reaction of a box that obeys its chart to the letter: that value and no other. */
    static ReactionRun exactly(ChartRun run) {
        return new ReactionRun(run.verb(), run.first(), run.count(), run.type(), run.number(), run.value(), run.value());
    }

    /** Whether a message is one of this run's. */
    boolean matches(Message message) {
        return message.type() == type && offset(message) >= 0 && offset(message) < count
                && message.data2() >= from && message.data2() <= to;
    }

    /** How many places behind the first part the message's part stands. */
    int offset(Message message) {
        return message.data1() - number;
    }
}
