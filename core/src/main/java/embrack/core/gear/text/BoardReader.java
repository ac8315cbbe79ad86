package embrack.core.gear.text;

import embrack.core.gear.BankChange;
import embrack.core.gear.Board;
import embrack.core.gear.Counter;
import embrack.core.gear.FactoryNumbers;
import embrack.core.gear.FactoryRun;
import embrack.core.gear.Gesture;
import embrack.core.gear.Preset;
import embrack.core.gear.PressLimit;
import embrack.core.gear.SendChannel;
import embrack.core.gear.SwitchMode;
import embrack.core.midi.MessageType;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.ValueDisplay;
import embrack.core.midi.Wire.RunningStatus;
import embrack.core.name.TapeLabel;
import embrack.core.text.Cursor;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;

/** Reads the lines about the switches of a board, which may stand in any order. */
final class BoardReader {

    /** What these lines begin with. */
    static final List<String> WORDS = List.of(
            "switches",
            "banks",
            "gestures",
            "modes",
            "factory run",
            "counter",
            "preset",
            "send channel",
            "programs from",
            "display",
            "running status",
            "waits",
            "names");

    private int switches;
    private int columns;
    private PressLimit limit = PressLimit.of(1);
    private List<TapeLabel> banks = List.of(new TapeLabel("A"));
    private BankChange bankChange = BankChange.ASSIGNMENTS;
    private SortedSet<MessageType> sends = new TreeSet<>();
    private SortedSet<Gesture> gestures = new TreeSet<>(EnumSet.of(Gesture.PRESS));
    private SortedSet<SwitchMode> modes = new TreeSet<>(EnumSet.of(SwitchMode.ONE_SHOT));
    private List<FactoryRun> fixed = List.of();
    private Optional<Counter> counter = Optional.empty();
    private final List<Preset> presets = new ArrayList<>();
    private SendChannel sendChannel = SendChannel.EACH_MESSAGE;
    private RunningStatus runningStatus = RunningStatus.NOT_USED;
    private ProgramCounting programs = ProgramCounting.FROM_ONE;
    private ValueDisplay display = ValueDisplay.PLAIN;
    private int longestWait;
    private int labelCharacters;
    private boolean said;

    /** Reads the line at the cursor, if it is about switches. */
    boolean accepts(Cursor cursor) {
        Optional<String> word = WORDS.stream().filter(cursor::accept).findFirst();
        word.ifPresent(w -> read(w, cursor));
        return word.isPresent();
    }

    /** The board, if any line was about its switches. */
    Optional<Board> board() {
        if (switches == 0) {
            if (said) {
                throw new IllegalArgumentException(
                        "a line says how the switches are, and none how many: switches: 4 in rows of 4, send "
                                + "cc, 8 a press");
            }
            return Optional.empty();
        }
        return Optional.of(new Board(
                switches,
                columns,
                counter.map(steps -> steps.shown(programs)).orElse(banks),
                bankChange,
                sends,
                limit,
                gestures,
                modes,
                new FactoryNumbers(fixed, presets, counter),
                sendChannel,
                runningStatus,
                programs,
                display,
                longestWait,
                labelCharacters));
    }

    private void read(String word, Cursor cursor) {
        said = true;
        switch (word) {
            case "programs from" -> programs = ProgramCounting.values()[Pieces.number(cursor, 0, 1)];
            case "running status" -> runningStatus = RunningStatus.USED;
            case "preset" -> presets.add(preset(cursor));
            default -> {
                Pieces.colon(cursor, word);
                readBehindColon(word, cursor);
            }
        }
    }

    private void readBehindColon(String word, Cursor cursor) {
        switch (word) {
            case "switches" -> switches(cursor);
            case "banks" -> banks(cursor);
            case "gestures" ->
                gestures = several(
                        cursor,
                        Gesture.values(),
                        Gesture::words,
                        "Known gestures: press, release, hold, double press.");
            case "modes" ->
                modes = several(
                        cursor, SwitchMode.values(), SwitchMode::key, "Known modes: momentary, alternating, one-shot.");
            case "counter" -> counter = Optional.of(counter(cursor));
            case "factory run" -> fixed = Pieces.factoryRuns(cursor);
            case "send channel" ->
                sendChannel = Pieces.oneOf(
                        cursor, SendChannel.values(), BoardReader::words, "\"one for the box\" or \"each message\"?");
            case "waits" ->
                longestWait = behind(cursor, "up to", 60_000, "ms", "Write such as \"waits: up to 5000 ms\".");
            case "names" ->
                labelCharacters = behind(cursor, "", 24, "characters", "Write such as \"names: 8 characters\".");
            default ->
                display = Pieces.oneOf(
                        cursor,
                        ValueDisplay.values(),
                        d -> d == ValueDisplay.PLAIN ? "plain" : "two digits",
                        "\"plain\" or \"two digits\"?");
        }
    }

    /** As it stands in the text: "one for the box". */
    static String words(SendChannel channel) {
        return channel == SendChannel.ONE_FOR_THE_BOX ? "one for the box" : "each message";
    }

    private static int behind(Cursor cursor, String before, int most, String unit, String how) {
        if (!before.isEmpty() && !cursor.accept(before)) {
            throw cursor.fault(how);
        }
        int number = Pieces.number(cursor, 0, most);
        if (!cursor.accept(unit)) {
            throw cursor.fault(how);
        }
        return number;
    }

    private void switches(Cursor cursor) {
        switches = Pieces.number(cursor, 1, 32);
        columns = cursor.accept("in rows of") ? Pieces.number(cursor, 1, switches) : switches;
        sends = Pieces.sends(cursor);
        if (cursor.accept(",") || !cursor.isAtEnd()) {
            int messages = Pieces.number(cursor, 1, 128);
            if (!cursor.accept("a press")) {
                throw cursor.fault("How many messages in one press? Write such as \"8 a press\".");
            }
            SortedMap<MessageType, Integer> ofType = new TreeMap<>();
            int column = cursor.column();
            if (cursor.accept(",") || cursor.accept("at most")) {
                cursor.accept("at most");
                do {
                    int most = Pieces.number(cursor, 1, 128);
                    ofType.put(
                            Pieces.oneOf(
                                    cursor,
                                    MessageType.values(),
                                    MessageType::shortName,
                                    "How many of which type? Write such as \"at most 4 pc, 8 cc\"."),
                            most);
                } while (cursor.accept(","));
            }
            limit = Pieces.fit(column, () -> new PressLimit(messages, ofType));
        }
    }

    private void banks(Cursor cursor) {
        int semicolon = cursor.find(';');
        Cursor names = cursor.until(semicolon < 0 ? Integer.MAX_VALUE : semicolon);
        int column = names.column();
        List<TapeLabel> read = new ArrayList<>();
        for (String name : names.rest().split(",")) {
            String[] ends = name.strip().split("\\.\\.");
            if (ends.length == 2 && ends[0].matches("\\d{1,3}") && ends[1].matches("\\d{1,3}")) {
                for (int i = Integer.parseInt(ends[0]); i <= Integer.parseInt(ends[1]); i++) {
                    read.add(new TapeLabel(String.valueOf(i)));
                }
            } else {
                read.add(Pieces.fit(column, () -> TapeLabel.parse(name)));
            }
        }
        banks = read;
        if (semicolon >= 0) {
            if (!cursor.accept("a bank changes")) {
                throw cursor.fault("Here stands \"a bank changes\" and what it changes.");
            }
            bankChange = Pieces.bankChange(cursor);
        }
    }

    private static Counter counter(Cursor cursor) {
        String how = "Write such as \"counter: 1 down, 2 up, pc 0..127\", with \", goes round\" where it does.";
        int column = cursor.column();
        int down = behindNumber(cursor, "down", how);
        int up = behindNumber(cursor, "up", how);
        if (!cursor.accept("pc")) {
            throw cursor.fault(how);
        }
        int[] ends = Pieces.range(cursor);
        boolean round = cursor.accept(",");
        if (round && !cursor.accept("goes round")) {
            throw cursor.fault(how);
        }
        return Pieces.fit(column, () -> new Counter(down, up, ends[0], ends[1], round));
    }

    private static int behindNumber(Cursor cursor, String word, String how) {
        int number = Pieces.number(cursor, 1, 32);
        if (!cursor.accept(word) || !cursor.accept(",")) {
            throw cursor.fault(how);
        }
        return number;
    }

    private static Preset preset(Cursor cursor) {
        Pieces.Named named = Pieces.named(cursor, "preset Notes: note 60..69");
        List<FactoryRun> runs = Pieces.factoryRuns(cursor);
        return Pieces.fit(named, () -> new Preset(named.label(), runs));
    }

    private static <E extends Enum<E>> SortedSet<E> several(
            Cursor cursor, E[] values, Function<E, String> words, String question) {
        SortedSet<E> read = new TreeSet<>();
        do {
            read.add(Pieces.oneOf(cursor, values, words, question));
        } while (cursor.accept(","));
        return read;
    }
}
