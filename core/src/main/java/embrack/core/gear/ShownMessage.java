package embrack.core.gear;

import embrack.core.chart.ChartWords;
import embrack.core.midi.Message;
import embrack.core.name.Words;
import java.util.List;
import java.util.Optional;

/**
 * A message in the numbers that a board shows while it is programmed.
 *
 * @param type "CC", "PC" or "note"
 * @param channel 1 to 16; empty for a message that goes to no channel
 * @param number controller, note or program as the box counts
 * @param value value or velocity; empty for a program change
 * @param bytes what travels, in hexadecimal
 * @param reads what the display reads where it cannot show number or value in full: "127 reads 2.7"; else empty
 */
public record ShownMessage(String type, String channel, String number, String value, String bytes, String reads) {

    /** The message as a board shows it. */
    public static ShownMessage on(Board board, Message message) {
        if (!(message instanceof Message.Voice voice)) {
            return new ShownMessage(message.type().shortName(), "", ChartWords.of(message), "", message.hex(), "");
        }
        boolean program = message instanceof Message.ProgramChange;
        String number = String.valueOf(program ? board.programs().shown(message.data1()) : message.data1());
        String value = program ? "" : String.valueOf(message.data2());
        List<Integer> displayed = program ? List.of() : List.of(message.data1(), message.data2());
        return new ShownMessage(
                message.type().shortName(),
                String.valueOf(voice.channel().number()),
                number,
                value,
                message.hex(),
                Words.list(displayed.stream()
                        .distinct()
                        .flatMap(shown -> reading(board, shown).stream())
                        .toList()));
    }

    /** The message in the numbers that travel: programs counted from 0. */
    public static ShownMessage plain(Message message) {
        if (!(message instanceof Message.Voice voice)) {
            return new ShownMessage(message.type().shortName(), "", ChartWords.of(message), "", message.hex(), "");
        }
        return new ShownMessage(
                message.type().shortName(),
                String.valueOf(voice.channel().number()),
                String.valueOf(message.data1()),
                message instanceof Message.ProgramChange ? "" : String.valueOf(message.data2()),
                message.hex(),
                "");
    }

    /** In one line: "ch 2  CC 40  127". */
    public String line() {
        return channel.isEmpty() ? number : ("ch %s  %s %s  %s".formatted(channel, type, number, value)).strip();
    }

    /** In words: "CC 40 value 127 on channel 2", "PC 3 on channel 2". */
    public String words() {
        return channel.isEmpty()
                ? number
                : "%s %s%s on channel %s".formatted(type, number, value.isEmpty() ? "" : " value " + value, channel);
    }

    private static Optional<String> reading(Board board, int value) {
        String shown = board.display().shown(value);
        return shown.equals(String.valueOf(value))
                ? Optional.empty()
                : Optional.of("%d reads %s".formatted(value, shown));
    }
}
