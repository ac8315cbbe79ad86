package embrack.core.gear;

import embrack.core.midi.Message;
import embrack.core.midi.MessageType;

/**
 * What a switch or control sends that its factory chose.
 *
 * @param type a note, a control change or a program change
 * @param number as sent, 0 to 127
 */
public record FactoryMessage(MessageType type, int number) {

    /** Whether a message is of its type and number, whatever its value and channel. */
    public boolean isAddressOf(Message message) {
        return message.type() == type && message.data1() == number;
    }
}
