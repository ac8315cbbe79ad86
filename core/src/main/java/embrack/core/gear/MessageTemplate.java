package embrack.core.gear;

import embrack.core.midi.Channel;
import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import java.util.EnumSet;
import java.util.Set;

/**
 * A chart's message before its channel is known.
 *
 * @param type a note, a control change or a program change
 * @param number note, controller or program as sent, 0 to 127
 * @param value velocity or value, 0 to 127; 0 for a program change, which has none
 */
public record MessageTemplate(MessageType type, int number, int value) {

    /** The types a chart can use. */
    public static final Set<MessageType> CHART_TYPES =
            Set.copyOf(EnumSet.of(MessageType.NOTE_ON, MessageType.CONTROL_CHANGE, MessageType.PROGRAM_CHANGE));

    public MessageTemplate {
        requireChartType(type);
        DataByte.checked("number", number);
        DataByte.checked("value", value);
        if (type == MessageType.PROGRAM_CHANGE && value != 0) {
            throw new IllegalArgumentException("a program change carries no value, was " + value);
        }
    }

    /** The message on a channel. */
    public Message on(Channel channel) {
        return switch (type) {
            case NOTE_ON -> new Message.NoteOn(channel, number, value);
            case CONTROL_CHANGE -> new Message.ControlChange(channel, number, value);
            case PROGRAM_CHANGE -> new Message.ProgramChange(channel, number);
            default -> throw new IllegalStateException("not a chart type: " + type);
        };
    }

    static void requireChartType(MessageType type) {
        if (!CHART_TYPES.contains(type)) {
            throw new IllegalArgumentException(
                    "a chart uses notes, control changes and program changes, not " + type.plural());
        }
    }
}
