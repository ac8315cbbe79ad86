package embrack.core.midi;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Everything that a number can be, by all conventions: note names, programs from 0 and from 1, channels on the wire,
 * two halves of fourteen bits, switches of a DMX address.
 *
 * @param typed what was asked
 * @param lines the answers, most usual first
 */
public record NumberPad(String typed, List<Line> lines) {

    /** The largest number that is looked into. */
    public static final int MAX = FourteenBit.MAX;

    /** Slots of one DMX universe. Source: ANSI E1.11 (DMX512-A). */
    private static final int DMX_SLOTS = 512;

    private static final Pattern HEXADECIMAL = Pattern.compile("(?:0x|\\$)([0-9a-f]{1,4})|([0-9a-f]{1,4})h");
    private static final Pattern BINARY = Pattern.compile("(?:0b|%)([01]{1,14})");
    private static final Pattern HALVES = Pattern.compile("(\\d{1,3})\\s*[:/]\\s*(\\d{1,3})");
    private static final Pattern IN_BANK =
            Pattern.compile("bank\\s+(\\d{1,3}),?\\s+patch\\s+(\\d{1,3})(?:\\s+of\\s+(\\d{1,3}))?");

    /** How many patches a bank has on most boxes. Common practice, no source. */
    private static final List<Integer> PATCHES_A_BANK = List.of(4, 5, 8, 10);

    private static final Pattern TEMPO = Pattern.compile("(\\d{1,3}(?:\\.\\d{1,3})?)\\s*bpm");

    private static final Pattern BYTES = Pattern.compile("[0-9a-f]{2}(?:\\s+[0-9a-f]{2})+|[89][a-f]|[a-f][0-9a-f]");

    public NumberPad {
        lines = List.copyOf(lines);
    }

    /**
     * One answer.
     *
     * @param as what the number is taken for
     * @param is what it then is
     * @param caution what to mind about it; empty for nothing
     */
    public record Line(String as, String is, String caution) {

        Line(String as, String is) {
            this(as, is, "");
        }
    }

    /**
     * Converts what a person typed: 12, 0x0C, 0b1100, C3, 1:5 for two halves, bank 3 patch 2 of 8, or a message's
     * bytes.
     *
     * @throws IllegalArgumentException with a sentence for the person when it is none of these
     */
    public static NumberPad of(String typed) {
        String text = typed.replace('+', ' ').strip();
        String lower = text.toLowerCase(Locale.ROOT);
        if (NoteNaming.isName(text)) {
            return new NumberPad(text, named(text));
        }
        Matcher inBank = IN_BANK.matcher(lower);
        if (inBank.matches()) {
            return new NumberPad(text, inBank(inBank));
        }
        Matcher tempo = TEMPO.matcher(lower);
        if (tempo.matches() && Double.parseDouble(tempo.group(1)) >= 1) {
            return new NumberPad(text, times(Double.parseDouble(tempo.group(1))));
        }
        if (BYTES.matcher(lower).matches()) {
            return new NumberPad(text, bytes(lower));
        }
        int number = number(lower)
                .orElseThrow(() -> new IllegalArgumentException(
                        ("Type a number from 0 to %d, in hexadecimal as 0x0C, a note such as C3, two halves "
                                        + "as 1:5, a patch as \"bank 3 patch 2 of 8\", a tempo as 84 bpm, "
                                        + "or bytes such as B1 28 7F.")
                                .formatted(MAX)));
        if (number > MAX) {
            throw new IllegalArgumentException(
                    "%s is beyond %d, the largest number of fourteen bits.".formatted(text, MAX));
        }
        return new NumberPad(text, lines(number));
    }

    /** A patch of a bank, for boxes with so many patches in a bank, by both ways to count banks. */
    private static List<Line> inBank(Matcher asked) {
        List<Line> lines = new ArrayList<>();
        List<Integer> sizes = asked.group(3) == null ? PATCHES_A_BANK : List.of(Integer.parseInt(asked.group(3)));
        for (int size : sizes) {
            for (String first : List.of("0-1", "1-1")) {
                ProgramTable table = new ProgramTable(Math.clamp(size, 1, 128), Optional.of(first));
                lines.add(new Line(
                        "%d patches a bank, %s".formatted(table.patchesPerBank(), table.convention()),
                        table.program(asked.group(1), asked.group(2))
                                .map(program -> "sent as %d: program %d counted from 0, %d counted from 1"
                                        .formatted(program, program, program + 1))
                                .orElse("no such patch among 128 programs")));
            }
        }
        return lines;
    }

    /** Times of delays and tremolos that go with a tempo in quarters a minute. */
    private static List<Line> times(double quartersAMinute) {
        double quarter = 60_000 / quartersAMinute;
        return List.of(
                time("quarter", quarter),
                time("dotted eighth", quarter * 3 / 4),
                time("eighth", quarter / 2),
                time("quarter triplet", quarter * 2 / 3),
                time("eighth triplet", quarter / 3),
                time("sixteenth", quarter / 4),
                time("half", quarter * 2));
    }

    private static Line time(String value, double millis) {
        return new Line(value, String.format(Locale.ROOT, "%.1f ms, %.2f a second", millis, 1000 / millis));
    }

    private static Optional<Integer> number(String text) {
        var hexadecimal = HEXADECIMAL.matcher(text);
        if (hexadecimal.matches()) {
            return Optional.of(
                    Integer.parseInt(hexadecimal.group(1) == null ? hexadecimal.group(2) : hexadecimal.group(1), 16));
        }
        var binary = BINARY.matcher(text);
        if (binary.matches()) {
            return Optional.of(Integer.parseInt(binary.group(1), 2));
        }
        var halves = HALVES.matcher(text);
        if (halves.matches()) {
            return Optional.of(FourteenBit.of(Integer.parseInt(halves.group(1)), Integer.parseInt(halves.group(2))));
        }
        return text.matches("\\d{1,6}") ? Optional.of(Integer.parseInt(text)) : Optional.empty();
    }

    private static List<Line> lines(int number) {
        List<Line> lines = new ArrayList<>();
        lines.add(new Line("hexadecimal, binary", "%02X, %s".formatted(number, Integer.toBinaryString(number))));
        if (number <= DataByte.MAX) {
            lines.add(new Line(
                    "note",
                    Stream.of(NoteNaming.values())
                            .map(n -> "%s where %s".formatted(n.name(number), n.words()))
                            .collect(Collectors.joining("; "))));
            lines.add(new Line(
                    "pitch of that note",
                    String.format(Locale.ROOT, "%.2f Hz at A = 440 Hz", NoteNaming.hertz(number))));
            lines.add(new Line(
                    "controller",
                    Controllers.name(number).orElse("no name of its own"),
                    Controllers.reserved(number).map(why -> why.words(number)).orElse("")));
            lines.add(new Line(
                    "program sent",
                    "shown as %d where a box counts from 0, as %d where it counts from 1"
                            .formatted(number, number + 1)));
            lines.add(new Line(
                    "value",
                    "%d %% of 127; on two digits it reads %s"
                            .formatted(Math.round(number / 1.27), ValueDisplay.TWO_DIGITS.shown(number))));
        }
        if (number >= 1 && number <= 128) {
            lines.add(new Line("program shown, counted from 1", "sent as " + (number - 1)));
        }
        if (number >= Channel.FIRST && number <= Channel.LAST) {
            lines.add(new Line(
                    "channel",
                    "%X on the wire: a note begins with %02X, a CC with %02X, a PC with %02X"
                            .formatted(number - 1, 0x90 | number - 1, 0xB0 | number - 1, 0xC0 | number - 1)));
        }
        lines.add(new Line(
                "fourteen bits",
                "high half %d, low half %d".formatted(FourteenBit.high(number), FourteenBit.low(number))));
        if (number >= 1 && number <= DMX_SLOTS) {
            lines.add(new Line("DMX address", dipSwitches(number)));
        }
        return lines;
    }

    /**
     * The address as switches, the first worth 1, each further one twice the one before; for fixtures that add no one.
     */
    private static String dipSwitches(int address) {
        List<String> on = IntStream.range(0, 10)
                .filter(bit -> (address >> bit & 1) == 1)
                .mapToObj(bit -> String.valueOf(bit + 1))
                .toList();
        return "DIP switches %s on, the others off".formatted(String.join(", ", on));
    }

    private static List<Line> named(String name) {
        List<Line> lines = new ArrayList<>();
        for (NoteNaming naming : NoteNaming.values()) {
            try {
                int note = naming.number(name);
                lines.add(new Line(
                        "where " + naming.words(),
                        "note %d, %02X, %s Hz"
                                .formatted(note, note, String.format(Locale.ROOT, "%.2f", NoteNaming.hertz(note)))));
            } catch (IllegalArgumentException e) {
                lines.add(new Line("where " + naming.words(), "outside the 128 notes"));
            }
        }
        return lines;
    }

    private static List<Line> bytes(String text) {
        Decoded decoded = Decoder.hex(text);
        List<Line> lines = new ArrayList<>(decoded.messages().stream()
                .map(message -> new Line(
                        message.hex(),
                        words(message),
                        message instanceof Message.ControlChange change
                                ? Controllers.reserved(change.controller())
                                        .map(why -> why.words(change.controller()))
                                        .orElse("")
                                : ""))
                .toList());
        decoded.faults().forEach(fault -> lines.add(new Line("byte %d".formatted(fault.offset() + 1), fault.words())));
        return lines;
    }

    private static String words(Message message) {
        return switch (message) {
            case Message.NoteOn m ->
                onChannel(
                        m,
                        m.isRelease()
                                ? "note %d, velocity 0: a release".formatted(m.note())
                                : "note %d (%s where %s), velocity %d"
                                        .formatted(
                                                m.note(),
                                                NoteNaming.C4.name(m.note()),
                                                NoteNaming.C4.words(),
                                                m.velocity()));
            case Message.NoteOff m -> onChannel(m, "note off %d, velocity %d".formatted(m.note(), m.velocity()));
            case Message.ControlChange m ->
                onChannel(
                        m,
                        "CC %d%s, value %d"
                                .formatted(
                                        m.controller(),
                                        Controllers.name(m.controller())
                                                .map(n -> " (" + n + ")")
                                                .orElse(""),
                                        m.value()));
            case Message.ProgramChange m ->
                onChannel(m, "PC %d from 0, %d from 1".formatted(m.program(), m.program() + 1));
            case Message.PitchBend m ->
                onChannel(m, "pitch bend %d of 16383, the middle is 8192".formatted(m.amount()));
            case Message.Voice m ->
                onChannel(
                        m, "%s %d".formatted(m.type().shortName(), m.type().dataBytes() == 2 ? m.data2() : m.data1()));
            case SystemExclusive m ->
                MachineControl.in(m)
                        .map(c -> "machine control: " + c)
                        .or(() -> ShowControl.in(m)
                                .map(c -> "show control: %s%s"
                                        .formatted(
                                                c.command(),
                                                c.cue().map(q -> " cue " + q).orElse(""))))
                        .or(() -> TimeCode.ofFullFrame(m).map(c -> "time code " + c))
                        .orElse("system exclusive");
            case SystemMessage m -> m.type().shortName();
        };
    }

    private static String onChannel(Message.Voice message, String words) {
        return "channel %d: %s".formatted(message.channel().number(), words);
    }
}
