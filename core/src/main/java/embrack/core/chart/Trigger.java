package embrack.core.chart;

import embrack.core.midi.Channel;
import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.midi.SystemMessage;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/** A message of a chart: what is sent, and what the box takes for it. */
public sealed interface Trigger {

    /**
     * A note, a control change or a program change.
     *
     * @param number note, controller or program as sent, 0 to 127
     * @param values velocities or values; 0 for a program change, which has none
     * @param channel where the box listens for this one whatever it is set to; empty for the channel it is set to
     */
    record Voice(MessageType type, int number, Values values, Optional<Channel> channel) implements Trigger {
        public Voice {
            if (!VOICES.contains(type)) {
                throw new IllegalArgumentException(
                        "a chart uses notes, control changes and program changes, not " + type.plural());
            }
            DataByte.checked("number", number);
            if (type == MessageType.PROGRAM_CHANGE && !values.equals(NO_VALUE)) {
                throw new IllegalArgumentException("a program change carries no value");
            }
        }

        /** The same on another number. */
        Voice withNumber(int other) {
            return new Voice(type, other, values, channel);
        }

        /** The message with a value of one's own. */
        Message.Voice on(Channel set, int value) {
            Channel to = channel.orElse(set);
            return switch (type) {
                case NOTE_ON -> new Message.NoteOn(to, number, value);
                case CONTROL_CHANGE -> new Message.ControlChange(to, number, value);
                default -> new Message.ProgramChange(to, number);
            };
        }

        boolean takes(Message message) {
            return message instanceof Message.Voice voice
                    && message.type() == type
                    && message.data1() == number
                    && values.holds(message.data2())
                    && (channel.isEmpty() || channel.get().equals(voice.channel()))
                    && !message.isRelease();
        }
    }

    /** A message to no channel, to the letter. */
    record Whole(SystemMessage message) implements Trigger {}

    /** The voices a chart can use. */
    Set<MessageType> VOICES =
            Set.copyOf(EnumSet.of(MessageType.NOTE_ON, MessageType.CONTROL_CHANGE, MessageType.PROGRAM_CHANGE));

    /** The values of a program change. */
    Values NO_VALUE = Values.exactly(0);

    /** The type of the message. */
    default MessageType type() {
        return switch (this) {
            case Voice voice -> voice.type;
            case Whole whole -> whole.message.type();
        };
    }

    /** Whether the box takes a message for this one. */
    default boolean matches(Message message) {
        return switch (this) {
            case Voice voice -> voice.takes(message);
            case Whole whole -> whole.message.equals(message);
        };
    }

    /**
     * The message that is sent.
     *
     * @param set the channel that the box is set to
     */
    default Message on(Channel set) {
        return switch (this) {
            case Voice voice -> voice.on(set, voice.values.sends());
            case Whole whole -> whole.message;
        };
    }
}
