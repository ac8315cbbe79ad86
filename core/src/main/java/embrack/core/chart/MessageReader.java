package embrack.core.chart;

import embrack.core.chart.NumberReader.Meaning;
import embrack.core.midi.Channel;
import embrack.core.midi.DataByte;
import embrack.core.midi.MachineControl;
import embrack.core.midi.MessageType;
import embrack.core.midi.RealTime;
import embrack.core.midi.ShowControl;
import embrack.core.midi.SystemExclusive;
import embrack.core.midi.SystemMessage;
import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import embrack.core.text.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Reads the messages on the right of a line of a chart. */
final class MessageReader {

    private static final Map<String, RealTime> REAL_TIME =
            Map.of("start", RealTime.START, "stop", RealTime.STOP, "continue", RealTime.CONTINUE);
    private static final Pattern RANGE =
            Pattern.compile("(\\d{1,6})(?:\\s*(?:\\.\\.|[-\u2013\u2014]|\\bto\\b)\\s*(\\d{1,6}))?");

    private final Cursor cursor;
    private final Conventions conventions;
    private final boolean amount;

    MessageReader(Cursor cursor, Conventions conventions, boolean amount) {
        this.cursor = cursor;
        this.conventions = conventions;
        this.amount = amount;
    }

    /** One or more messages with + between them. */
    List<Span<Trigger>> messages() {
        List<Span<Trigger>> messages = new ArrayList<>();
        do {
            messages.add(message());
        } while (cursor.accept("+"));
        return messages;
    }

    private Span<Trigger> message() {
        int column = cursor.column();
        if (cursor.accept("note")) {
            return voice(MessageType.NOTE_ON, Meaning.NOTE);
        }
        if (cursor.accept("cc")) {
            return voice(MessageType.CONTROL_CHANGE, Meaning.CC);
        }
        if (cursor.accept("pc")) {
            return voice(MessageType.PROGRAM_CHANGE, Meaning.PROGRAM);
        }
        if (cursor.accept("song")) {
            Span<Integer> songs = new NumberReader(conventions, Meaning.SONG).read(cursor);
            return whole(songs.each().stream().map(SystemMessage.SongSelect::new), songs);
        }
        if (cursor.accept("mmc")) {
            return machine(column);
        }
        if (cursor.accept("msc")) {
            return show(column);
        }
        if (cursor.accept("sysex")) {
            return exclusive();
        }
        String word = cursor.peek();
        RealTime realTime = REAL_TIME.get(word.toLowerCase(Locale.ROOT));
        if (realTime != null) {
            cursor.token();
            return whole(Stream.of(realTime), new Span<>(List.of(0), column, word));
        }
        throw cursor.fault(
                word.isEmpty()
                        ? "A message is missing here, such as cc 40, note 12 or pc 1."
                        : "\"%s\" is no message. Write note, cc, pc, song, start, stop, continue, mmc, msc or sysex."
                                .formatted(word));
    }

    private Span<Trigger> voice(MessageType type, Meaning meaning) {
        Span<Integer> numbers = new NumberReader(conventions, meaning).read(cursor);
        Values values = type == MessageType.PROGRAM_CHANGE ? Trigger.NO_VALUE : values(type);
        Optional<Channel> channel = cursor.accept("on channel") ? Optional.of(channel()) : Optional.empty();
        return new Span<>(
                numbers.each().stream()
                        .<Trigger>map(n -> new Trigger.Voice(type, n, values, channel))
                        .toList(),
                numbers.column(),
                numbers.written());
    }

    private Values values(MessageType type) {
        int lowest = type == MessageType.NOTE_ON ? 1 : 0;
        Optional<int[]> sends = Optional.empty();
        if (cursor.accept("=")) {
            sends = Optional.of(range(lowest));
        }
        if (cursor.accept("over")) {
            return chosen(sends, one() + 1, DataByte.MAX);
        }
        if (cursor.accept("under")) {
            return chosen(sends, lowest, one() - 1);
        }
        if (cursor.accept("from")) {
            int[] taken = range(lowest);
            return chosen(sends, taken[0], taken[1]);
        }
        return sends.map(s -> s[0] == s[1] ? Values.exactly(s[0]) : Values.between(s[0], s[1]))
                .orElseGet(() -> amount
                        ? new Values(DataByte.MAX, lowest, DataByte.MAX)
                        : Values.between(lowest, DataByte.MAX).sending(DataByte.MAX));
    }

    private Values chosen(Optional<int[]> sends, int low, int high) {
        if (low > high) {
            throw new Fault(cursor.column(), 1, "No value is left: values go from 0 to 127.");
        }
        Values values = Values.between(low, high);
        if (sends.isEmpty()) {
            return values;
        }
        if (!values.holds(sends.get()[0])) {
            throw new Fault(
                    cursor.column(),
                    1,
                    "The value sent, %d, is none that the box takes, %d to %d.".formatted(sends.get()[0], low, high));
        }
        return values.sending(sends.get()[0]);
    }

    private int one() {
        int column = cursor.column();
        int[] range = range(0);
        if (range[0] != range[1]) {
            throw new Fault(column, 1, "One number is needed here, not a range.");
        }
        return range[0];
    }

    private int[] range(int lowest) {
        int column = cursor.column();
        Matcher matcher = RANGE.matcher(cursor.rest());
        if (!matcher.lookingAt()) {
            throw cursor.fault("A value from %d to 127 is missing here.".formatted(lowest));
        }
        int first = value(matcher.group(1), lowest, column);
        int last = matcher.group(2) == null ? first : value(matcher.group(2), lowest, column + matcher.start(2));
        if (last < first) {
            throw new Fault(
                    column,
                    matcher.end(),
                    "%s runs backwards; a range goes from low to high.".formatted(matcher.group()));
        }
        cursor.step(matcher.end());
        return new int[] {first, last};
    }

    private static int value(String written, int lowest, int column) {
        int value = Integer.parseInt(written);
        if (value > DataByte.MAX) {
            throw new Fault(
                    column, written.length(), "Values go from 0 to 127; %s is not one of them.".formatted(written));
        }
        if (value < lowest) {
            throw new Fault(
                    column, written.length(), "Velocity 0 releases a note; a note that does something has 1 to 127.");
        }
        return value;
    }

    private Channel channel() {
        String written = cursor.peek();
        if (!written.matches("\\d{1,2}")
                || Integer.parseInt(written) < Channel.FIRST
                || Integer.parseInt(written) > Channel.LAST) {
            throw cursor.fault("Channels go from 1 to 16%s."
                    .formatted(written.isEmpty() ? "" : "; " + written + " is not one of them"));
        }
        cursor.token();
        return new Channel(Integer.parseInt(written));
    }

    private Span<Trigger> machine(int column) {
        for (MachineControl.Plain command : MachineControl.Plain.values()) {
            if (cursor.accept(command.name().toLowerCase(Locale.ROOT).replace('_', ' '))) {
                return whole(Stream.of(command.to(MachineControl.ALL_DEVICES)), new Span<>(List.of(0), column, "mmc"));
            }
        }
        throw cursor.fault("A command is missing here: mmc stop, play, pause, rewind, fast forward, record strobe or "
                + "record exit.");
    }

    private Span<Trigger> show(int column) {
        ShowControl.Format format = Stream.of(ShowControl.Format.values())
                .filter(f -> f != ShowControl.Format.ALL)
                .filter(f -> cursor.accept(f.name().toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElse(ShowControl.Format.LIGHTING);
        ShowControl.Command command = Stream.of(ShowControl.Command.values())
                .filter(c -> cursor.accept(c.name().toLowerCase(Locale.ROOT).replace('_', ' ')))
                .findFirst()
                .orElseThrow(() -> cursor.fault("A command is missing here: msc go, stop, resume or all off."));
        if (command == ShowControl.Command.ALL_OFF
                || cursor.isAtEnd()
                || "+".equals(cursor.rest().substring(0, 1))) {
            return whole(
                    Stream.of(new ShowControl(format, command, Optional.empty(), Optional.empty()).to(DataByte.MAX)),
                    new Span<>(List.of(0), column, "msc"));
        }
        Span<Integer> cues = new NumberReader(conventions, Meaning.CUE).read(cursor);
        Optional<String> list = cursor.accept("list")
                ? Optional.of(String.valueOf(new NumberReader(conventions, Meaning.CUE)
                        .read(cursor)
                        .each()
                        .getFirst()))
                : Optional.empty();
        return whole(
                cues.each().stream()
                        .map(cue -> new ShowControl(format, command, Optional.of(String.valueOf(cue)), list)
                                .to(DataByte.MAX)),
                cues);
    }

    private Span<Trigger> exclusive() {
        int column = cursor.column();
        List<Integer> bytes = new ArrayList<>();
        while (cursor.peek().matches("[0-9A-Fa-f]{2}")) {
            bytes.add(Integer.parseInt(cursor.token(), 16));
        }
        int last = bytes.size() - 1;
        if (last < 2
                || bytes.getFirst() != 0xF0
                || bytes.get(last) != 0xF7
                || bytes.subList(1, last).stream().anyMatch(b -> b > DataByte.MAX)) {
            throw new Fault(
                    column,
                    1,
                    "Bytes in hexadecimal are needed, from F0 to F7, those between under 80: sysex F0 7D 01 F7.");
        }
        return whole(
                Stream.of(SystemExclusive.of(
                        bytes.subList(1, last).stream().mapToInt(b -> b).toArray())),
                new Span<>(List.of(0), column, "F0"));
    }

    private static Span<Trigger> whole(Stream<? extends SystemMessage> messages, Span<?> numbers) {
        return new Span<>(messages.<Trigger>map(Trigger.Whole::new).toList(), numbers.column(), numbers.written());
    }
}
