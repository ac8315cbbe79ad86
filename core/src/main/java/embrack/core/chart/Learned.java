package embrack.core.chart;

import embrack.core.midi.Channel;
import embrack.core.midi.DataByte;
import embrack.core.midi.MessageType;
import java.util.List;
import java.util.Optional;

/**
 * The message that a box has been given for something that it learns.
 *
 * @param channel where it listens for it; empty for the channel that the box is set to
 * @param number note, controller or program as sent, 0 to 127
 * @param response what it makes of the value
 * @param pinned whether a person chose the number, so that it is never chosen anew
 */
public record Learned(MessageType type, Optional<Channel> channel, int number, Response response, boolean pinned) {

    public Learned {
        DataByte.checked("number", number);
        if (!Trigger.VOICES.contains(type)) {
            throw new IllegalArgumentException(
                    "a box learns notes, control changes and program changes, not " + type.plural());
        }
    }

    /** A message that was not pinned, taken as it comes. */
    public Learned(MessageType type, Optional<Channel> channel, int number) {
        this(type, channel, number, Response.PLAIN, false);
    }

    public Learned withResponse(Response other) {
        return new Learned(type, channel, number, other, pinned);
    }

    public Learned withPinned(boolean other) {
        return new Learned(type, channel, number, response, other);
    }

    /** The row of a chart that it makes of a lesson. */
    ChartRow row(Learnable learnable) {
        Values values =
                type == MessageType.PROGRAM_CHANGE ? Trigger.NO_VALUE : new Values(DataByte.MAX, 0, DataByte.MAX);
        return new ChartRow(
                learnable.verb(),
                learnable.part(),
                List.of(new Trigger.Voice(type, number, values, channel)),
                type == MessageType.PROGRAM_CHANGE ? Response.PLAIN : response,
                true);
    }
}
