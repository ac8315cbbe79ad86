package embrack.core.send;

import embrack.core.midi.Channel;
import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import embrack.core.midi.Message.NoteOn;
import embrack.core.midi.Message.ProgramChange;
import embrack.core.midi.MessageType;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What a box answers to is looked for.
 *
 * @param isSent whether what is asked about next was sent, so that it can be answered
 * @param out what was sent last, which is let go of before anything else is sent
 */
public record Search(DeviceId box, Limits limits, Seeking<Message> how, boolean isSent, List<Message> out) {

    public Search {
        out = List.copyOf(out);
    }

    /**
     * What may be sent at all.
     *
     * @param type notes, control changes or program changes
     * @param low the least number, 0 to 127
     * @param high the greatest, at least as much
     */
    public record Limits(MessageType type, Channel first, Channel last, int low, int high) {

        public Limits {
            DataByte.checked("lowest number", low);
            DataByte.checked("highest number", high);
            if (low > high || first.compareTo(last) > 0) {
                throw new IllegalArgumentException(
                        "The first number or channel stands before the last: %d to %d, channel %d to %d do not."
                                .formatted(low, high, first.number(), last.number()));
            }
            if (type != MessageType.NOTE_ON
                    && type != MessageType.CONTROL_CHANGE
                    && type != MessageType.PROGRAM_CHANGE) {
                throw new IllegalArgumentException(
                        "Notes, control changes and program changes are looked among, not " + type.plural() + ".");
            }
        }

        /** All of them, by channel, then number; notes and control changes with value 127. */
        public List<Message> messages() {
            return IntStream.rangeClosed(first.number(), last.number())
                    .mapToObj(Channel::new)
                    .flatMap(channel -> IntStream.rangeClosed(low, high).mapToObj(number -> message(channel, number)))
                    .toList();
        }

        private Message message(Channel channel, int number) {
            return switch (type) {
                case NOTE_ON -> new NoteOn(channel, number, DataByte.MAX);
                case PROGRAM_CHANGE -> new ProgramChange(channel, number);
                default -> new ControlChange(channel, number, DataByte.MAX);
            };
        }
    }

    /** By halves, where one answers and stays so. */
    public static Search byHalves(DeviceId box, Limits limits) {
        return new Search(box, limits, Halving.among(limits.messages()), false, List.of());
    }

    /** One by one, where it turns round at each, or several do. */
    public static Search oneByOne(DeviceId box, Limits limits) {
        return new Search(box, limits, OneByOne.among(limits.messages()), false, List.of());
    }

    public boolean isOneByOne() {
        return how instanceof OneByOne;
    }

    /** What was next was sent. */
    public Search sent() {
        return new Search(box, limits, how.sent(), !how.isOver(), how.next());
    }

    /** It happened while one after the other was sent. */
    public Search stopped() {
        return how instanceof OneByOne<Message> one ? new Search(box, limits, one.stopped(), false, out) : this;
    }

    /** Somebody says whether it happened; only of what was sent. */
    public Search answered(boolean happened) {
        return isSent ? new Search(box, limits, how.answered(happened), false, out) : this;
    }
}
