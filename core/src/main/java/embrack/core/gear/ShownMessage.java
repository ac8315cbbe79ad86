package embrack.core.gear;

import embrack.core.midi.Message;
import embrack.core.midi.MessageType;

/**
 * A message in the numbers that a board shows while it is programmed.
 *
 * @param type "CC", "PC" or "note"
 * @param channel 1 to 16
 * @param number controller, note or program as the box counts
 * @param value value or velocity; empty for a program change
 * @param bytes what travels, in hexadecimal
 */
public record ShownMessage(String type, int channel, String number, String value, String bytes) {

    /** The message as a board shows it; where its display reads otherwise, that is said: "127, reads 2.7". */
    public static ShownMessage on(Board board, Message message) {
        boolean program = message.type() == MessageType.PROGRAM_CHANGE;
        return new ShownMessage(message.type().shortName(), message.channel().number(),
                program ? String.valueOf(board.programs().shown(message.data1())) : reading(board, message.data1()),
                program ? "" : reading(board, message.data2()), message.hex());
    }

    /** In one line: "ch 2  CC 40  127". */
    public String line() {
        return ("ch %d  %s %s  %s".formatted(channel, type, number, value)).strip();
    }

    private static String reading(Board board, int value) {
        String shown = board.display().shown(value);
        return shown.equals(String.valueOf(value)) ? shown : "%d, reads %s".formatted(value, shown);
    }
}
