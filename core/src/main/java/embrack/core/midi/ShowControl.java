package embrack.core.midi;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A command to lighting, sound or pictures over MIDI Show Control: F0 7F device 02 format command cue 00 list F7, cue
 * and list in ASCII digits and points.
 *
 * <p>Source: MIDI Show Control 1.1 (MMA/AMEI RP-002/RP-014): command formats, command numbers, cue numbers.
 *
 * @param cue "12" or "12.5"; empty for the next, or for all
 * @param list the cue list, if the cue names one
 */
public record ShowControl(Format format, Command command, Optional<String> cue, Optional<String> list) {

    /** Which trade a command is for. */
    public enum Format {
        LIGHTING(0x01),
        SOUND(0x10),
        VIDEO(0x30),
        PROJECTION(0x40),
        ALL(0x7F);

        private final int number;

        Format(int number) {
            this.number = number;
        }

        /** The format byte. */
        public int number() {
            return number;
        }
    }

    /** What is to be done. */
    public enum Command {
        GO(0x01),
        STOP(0x02),
        RESUME(0x03),
        ALL_OFF(0x08);

        private final int number;

        Command(int number) {
            this.number = number;
        }

        /** The command byte. */
        public int number() {
            return number;
        }
    }

    public ShowControl {
        Stream.of(cue, list).flatMap(Optional::stream).forEach(ShowControl::requireNumber);
        if (list.isPresent() && cue.isEmpty()) {
            throw new IllegalArgumentException("a cue list is named behind a cue");
        }
        if (command == Command.ALL_OFF && cue.isPresent()) {
            throw new IllegalArgumentException("ALL_OFF names no cue");
        }
    }

    /**
     * The command as a message.
     *
     * @param device 0 to 111 one device, 112 to 126 groups, 127 all
     */
    public SystemExclusive to(int device) {
        var content = new ByteArrayOutputStream();
        for (int each : List.of(
                SystemExclusive.REAL_TIME, DataByte.checked("device", device), 0x02, format.number, command.number)) {
            content.write(each);
        }
        cue.ifPresent(number -> content.writeBytes(number.getBytes(StandardCharsets.US_ASCII)));
        list.ifPresent(number -> {
            content.write(0);
            content.writeBytes(number.getBytes(StandardCharsets.US_ASCII));
        });
        return SystemExclusive.of(content.toByteArray());
    }

    /** The command that a message holds; empty when it holds none of these. */
    public static Optional<ShowControl> in(SystemExclusive message) {
        if (message.length() < 7 || message.at(0) != SystemExclusive.REAL_TIME || message.at(2) != 0x02) {
            return Optional.empty();
        }
        Optional<Format> format = Stream.of(Format.values())
                .filter(f -> f.number == message.at(3))
                .findFirst();
        Optional<Command> command = Stream.of(Command.values())
                .filter(c -> c.number == message.at(4))
                .findFirst();
        byte[] content = message.content();
        String[] names = new String(content, 5, content.length - 5, StandardCharsets.US_ASCII).split("\0", -1);
        if (format.isEmpty() || command.isEmpty() || names.length > 2) {
            return Optional.empty();
        }
        try {
            return Optional.of(new ShowControl(format.get(), command.get(), named(names, 0), named(names, 1)));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static Optional<String> named(String[] names, int index) {
        return index < names.length && !names[index].isEmpty() ? Optional.of(names[index]) : Optional.empty();
    }

    private static void requireNumber(String number) {
        if (!number.matches("\\d{1,5}(\\.\\d{1,5}){0,2}")) {
            throw new IllegalArgumentException(
                    "a cue is digits and points such as 12 or 12.5, was \"%s\"".formatted(number));
        }
    }
}
