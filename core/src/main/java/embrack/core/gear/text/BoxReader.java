package embrack.core.gear.text;

import embrack.core.gear.BankChange;
import embrack.core.gear.Connector;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.ControlType;
import embrack.core.gear.Direction;
import embrack.core.gear.Memory;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Power;
import embrack.core.gear.Quirks;
import embrack.core.gear.Scope;
import embrack.core.gear.Setting;
import embrack.core.gear.SettingId;
import embrack.core.gear.SharedSocket;
import embrack.core.gear.Sockets;
import embrack.core.gear.Surface;
import embrack.core.midi.Channel;
import embrack.core.midi.MessageType;
import embrack.core.name.Slug;
import embrack.core.name.TapeLabel;
import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import embrack.core.text.Problem;
import embrack.core.text.Spelling;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Reads the text of a box line by line. */
final class BoxReader {

    private static final int BLANK = 0;

    private final String text;
    private final List<Problem> problems = new ArrayList<>();
    private final List<Port> ports = new ArrayList<>();
    private final List<SharedSocket> shared = new ArrayList<>();
    private final List<ControlGroup> groups = new ArrayList<>();
    private final List<Setting> settings = new ArrayList<>();
    private final BoardReader board = new BoardReader();
    private final Map<String, Consumer<Cursor>> lines;
    private Optional<String> keep = Optional.empty();
    private Optional<Power> power = Optional.empty();
    private Quirks quirks = Quirks.NONE;
    private int memories;
    private int line;

    BoxReader(String text) {
        this.text = text;
        this.lines = Map.of("memories", this::memories, "keep", this::keep, "power", this::power, "habits", this::habits);
    }

    BoxReading read() {
        if (text.length() > BoxReading.MAX_LENGTH) {
            problems.add(new Problem(Problem.Level.ERROR, 1, 1, 1, "This text has %d characters; a box has at most %d."
                    .formatted(text.length(), BoxReading.MAX_LENGTH)));
            return new BoxReading(text, Optional.empty(), problems);
        }
        text.lines().forEach(this::readLine);
        Optional<Box> box = problems.isEmpty() ? whole() : Optional.empty();
        return new BoxReading(text, box, problems);
    }

    private Optional<Box> whole() {
        try {
            return Optional.of(new Box(new Sockets(ports, shared), new Surface(board.board(), groups),
                    new Memory(settings, memories, keep), quirks, power));
        } catch (IllegalArgumentException e) {
            problems.add(new Problem(Problem.Level.ERROR, Math.max(1, line), 1, 1, capital(e.getMessage()) + "."));
            return Optional.empty();
        }
    }

    private void readLine(String content) {
        line++;
        Cursor cursor = Cursor.of(content.replace('\t', ' '));
        if (cursor.isAtEnd()) {
            return;
        }
        try {
            readLine(cursor);
            if (!cursor.isAtEnd()) {
                throw new Fault(cursor.column(), cursor.rest().length(), "\"%s\" is not understood here.".formatted(cursor.rest()));
            }
        } catch (Fault fault) {
            problems.add(fault.inLine(line));
        }
    }

    private void readLine(Cursor cursor) {
        if (cursor.accept("port")) {
            port(cursor);
        } else if (cursor.accept("shared")) {
            share(cursor);
        } else if (cursor.accept("setting")) {
            setting(cursor);
        } else if (!board.accepts(cursor) && !acceptsGroup(cursor)) {
            String word = lines.keySet().stream().filter(cursor::accept).findFirst().orElseThrow(() -> cursor.fault(unknown(cursor.peek())));
            colon(cursor, word);
            lines.get(word).accept(cursor);
        }
    }

    private static String unknown(String word) {
        List<String> known = Stream.concat(Stream.of("port", "shared", "setting", "memories", "keep", "power", "habits"),
                Stream.concat(BoardReader.WORDS.stream(), Stream.of(ControlType.values()).map(ControlType::plural))).toList();
        return known.stream().filter(each -> Spelling.isNear(word, each)).findFirst()
                .map(near -> "\"%s\" does not begin a line. Did you mean \"%s\"?".formatted(word, near))
                .orElseGet(() -> "\"%s\" does not begin a line. A line begins with one of: %s.".formatted(word, String.join(", ", known)));
    }

    private void port(Cursor cursor) {
        Named named = named(cursor, "port MIDI IN: 5-pin in");
        Connector connector = oneOf(cursor, Connector.values(), Connector::words, "What is it? 5-pin, TRS type A, TRS type B,"
                + " USB device, USB host, Bluetooth, network, virtual, power, audio or DMX.");
        Direction direction = oneOf(cursor, Direction.values(), Direction::words, "Which way? in, out, thru or both ways.");
        ports.add(fit(named, () -> new Port(new PortId(named.id), named.label, connector, direction)));
    }

    private void share(Cursor cursor) {
        Named named = named(cursor, "shared the only socket: USB, Power; 1 at once");
        List<PortId> uses = new ArrayList<>();
        int semicolon = cursor.find(';');
        if (semicolon < 0) {
            throw cursor.fault("How many at once? shared the only socket: USB, Power; 1 at once");
        }
        Cursor names = cursor.until(semicolon);
        int column = names.column();
        for (String name : names.rest().split(",")) {
            uses.add(ports.stream().filter(p -> p.name().text().equalsIgnoreCase(name.strip())).findFirst().map(Port::id)
                    .orElseThrow(() -> new Fault(column, 1, "No port above is called \"%s\".".formatted(name.strip()))));
        }
        int atOnce = number(cursor, 1, 64);
        if (!cursor.accept("at once")) {
            throw cursor.fault("This ends with \"at once\".");
        }
        shared.add(fit(named, () -> new SharedSocket(named.label, uses, atOnce)));
    }

    private boolean acceptsGroup(Cursor cursor) {
        for (ControlType type : ControlType.values()) {
            if (cursor.accept(type.plural()) || cursor.accept(type.words())) {
                colon(cursor, type.plural());
                int column = cursor.column();
                int count = number(cursor, 1, 128);
                int columns = cursor.accept("in rows of") ? number(cursor, 1, 128) : count;
                SortedSet<MessageType> sends = sends(cursor);
                Optional<Channel> channel = cursor.accept("on channel") || cursor.accept(", on channel")
                        ? Optional.of(new Channel(number(cursor, 1, 16))) : Optional.empty();
                groups.add(fit(column, () -> new ControlGroup(type, count, columns, sends, channel)));
                return true;
            }
        }
        return false;
    }

    private void setting(Cursor cursor) {
        Named named = named(cursor, "setting MIDI receive channel: 1..16, factory 1");
        boolean numbers = cursor.peek().matches("-?\\d+(?:\\.\\..*)?") && !cursor.rest().matches("-?\\d+ +\\p{L}.*");
        int[] range = numbers ? range(cursor) : new int[2];
        List<TapeLabel> choices = numbers ? List.of() : choices(cursor);
        range[1] = numbers ? range[1] : choices.size() - 1;
        int factory = range[0];
        Scope scope = Scope.BOX;
        while (!cursor.isAtEnd()) {
            cursor.accept(",");
            cursor.accept(";");
            if (cursor.accept("factory")) {
                factory = numbers ? number(cursor, range[0], range[1]) : choices.indexOf(oneOf(cursor, choices.toArray(TapeLabel[]::new),
                        TapeLabel::text, "The factory's value is none of the words before."));
            } else if (cursor.accept("in each memory")) {
                scope = Scope.MEMORY;
            } else {
                throw cursor.fault("Here may stand \"factory\" with a value, or \"in each memory\".");
            }
        }
        int value = factory;
        int low = range[0];
        int high = range[1];
        Scope held = scope;
        settings.add(fit(named, () -> new Setting(new SettingId(named.id), named.label, low, high, value, choices, held)));
    }

    /** Words to choose from, with commas between, up to a semicolon or the end of the line. */
    private static List<TapeLabel> choices(Cursor cursor) {
        int semicolon = cursor.find(';');
        Cursor part = cursor.until(semicolon < 0 ? Integer.MAX_VALUE : semicolon);
        int column = part.column();
        return Stream.of(part.rest().split(",")).map(word -> fit(column, () -> TapeLabel.parse(word))).toList();
    }

    private void memories(Cursor cursor) {
        memories = number(cursor, 0, 1000);
    }

    private void keep(Cursor cursor) {
        String words = cursor.rest();
        if (words.isEmpty() || words.length() > 200) {
            throw cursor.fault("Say in 1 to 200 characters what must be done so that the box keeps what was programmed.");
        }
        cursor.step(words.length());
        keep = Optional.of(words);
    }

    private void power(Cursor cursor) {
        SortedSet<Power.Source> sources = new TreeSet<>();
        do {
            sources.add(oneOf(cursor, Power.Source.values(), Power.Source::words, "What does it run from? USB, a supply of its own, batteries or mains."));
        } while (cursor.accept("or"));
        int milliamps = BLANK;
        if (cursor.accept(",")) {
            milliamps = number(cursor, 1, 20_000);
            if (!cursor.accept("ma")) {
                throw cursor.fault("A draw is given in mA.");
            }
        }
        power = Optional.of(new Power(sources, milliamps));
    }

    private void habits(Cursor cursor) {
        do {
            if (cursor.accept("listens to all channels")) {
                quirks = new Quirks(true, quirks.actsOnNoteOff(), quirks.looksForPortsAtStart(), quirks.assignableInputs());
            } else if (cursor.accept("acts on note-off")) {
                quirks = new Quirks(quirks.hearsAllChannels(), true, quirks.looksForPortsAtStart(), quirks.assignableInputs());
            } else if (cursor.accept("looks for ports at start")) {
                quirks = new Quirks(quirks.hearsAllChannels(), quirks.actsOnNoteOff(), true, quirks.assignableInputs());
            } else if (cursor.peek().matches("\\d+")) {
                int inputs = number(cursor, 1, 128);
                if (!cursor.accept("assignable inputs")) {
                    throw cursor.fault("Write such as \"16 assignable inputs\".");
                }
                quirks = new Quirks(quirks.hearsAllChannels(), quirks.actsOnNoteOff(), quirks.looksForPortsAtStart(), inputs);
            } else {
                throw cursor.fault("Known habits: listens to all channels; acts on note-off; looks for ports at start; 16 assignable inputs.");
            }
        } while (cursor.accept(";") || cursor.accept(","));
    }

    private record Named(String id, TapeLabel label, int column) {
    }

    /** A name, perhaps with an id of its own behind "as", up to the colon. */
    private static Named named(Cursor cursor, String example) {
        int colon = cursor.find(':');
        if (colon < 0) {
            throw new Fault(cursor.column(), Math.max(1, cursor.rest().length()), "A colon is missing: " + example);
        }
        Cursor part = cursor.until(colon);
        int column = part.column();
        String[] pieces = part.rest().split(" as (?=[a-z0-9-]+$)");
        TapeLabel label = fit(column, () -> TapeLabel.parse(pieces[0].replace("\"", "")));
        return new Named(fit(column, () -> pieces.length > 1 ? Slug.checked("id", pieces[1]) : defaultId(label)), label, column);
    }

    /** The id of a port or setting of that name, where none is said: {@code in} for "MIDI IN". */
    static String defaultId(TapeLabel label) {
        return Slug.of(label.text()).replaceFirst("^midi-(?=.)", "");
    }

    static void colon(Cursor cursor, String word) {
        if (!cursor.accept(":")) {
            throw cursor.fault("A colon is missing behind \"%s\".".formatted(word));
        }
    }

    static int number(Cursor cursor, int min, int max) {
        String written = cursor.peek();
        if (!written.matches("-?\\d{1,6}") || Integer.parseInt(written) < min || Integer.parseInt(written) > max) {
            throw cursor.fault("A number from %d to %d is needed here.".formatted(min, max));
        }
        cursor.token();
        return Integer.parseInt(written);
    }

    private static int[] range(Cursor cursor) {
        String written = cursor.peek();
        if (!written.matches("-?\\d{1,6}\\.\\.-?\\d{1,6}")) {
            throw cursor.fault("A range is needed here, such as 1..16, or words to choose from.");
        }
        String[] ends = written.split("\\.\\.");
        int[] range = {Integer.parseInt(ends[0]), Integer.parseInt(ends[1])};
        if (range[0] > range[1]) {
            throw cursor.fault("%s runs backwards; a range goes from low to high.".formatted(written));
        }
        cursor.token();
        return range;
    }

    static SortedSet<MessageType> sends(Cursor cursor) {
        SortedSet<MessageType> types = new TreeSet<>();
        cursor.accept(",");
        if (!cursor.accept("send") && !cursor.accept("sends")) {
            throw cursor.fault("What do they send? Write such as \"send note, cc\".");
        }
        do {
            int column = cursor.column();
            Optional<MessageType> type = Stream.of(MessageType.values()).filter(t -> cursor.accept(t.shortName().toLowerCase(Locale.ROOT))).findFirst();
            if (type.isEmpty() && types.isEmpty()) {
                throw cursor.fault("What do they send? note, cc, pc, pitch bend, channel pressure, start, stop, clock ...");
            }
            if (type.isEmpty()) {
                cursor.backTo(column);
                cursor.accept(",");
                return types;
            }
            types.add(type.get());
        } while (acceptMore(cursor));
        return types;
    }

    /** Steps over a comma only if another type of message follows. */
    private static boolean acceptMore(Cursor cursor) {
        int column = cursor.column();
        if (cursor.accept(",")) {
            int behind = cursor.column();
            boolean type = Stream.of(MessageType.values()).anyMatch(t -> cursor.accept(t.shortName().toLowerCase(Locale.ROOT)));
            cursor.backTo(type ? behind : column);
            return type;
        }
        return false;
    }

    static <E> E oneOf(Cursor cursor, E[] values, Function<E, String> words, String question) {
        return Stream.of(values).sorted((a, b) -> words.apply(b).length() - words.apply(a).length())
                .filter(value -> cursor.accept(words.apply(value).toLowerCase(Locale.ROOT))).findFirst()
                .orElseThrow(() -> cursor.fault(question));
    }

    private static <T> T fit(Named named, Supplier<T> supplier) {
        return fit(named.column, supplier);
    }

    static <T> T fit(int column, Supplier<T> supplier) {
        try {
            return supplier.get();
        } catch (IllegalArgumentException e) {
            throw new Fault(column, 1, capital(e.getMessage()) + (String.valueOf(e.getMessage()).endsWith(".") ? "" : "."));
        }
    }

    private static String capital(@Nullable String words) {
        String said = String.valueOf(words);
        return Character.toUpperCase(said.charAt(0)) + said.substring(1);
    }

    static BankChange bankChange(Cursor cursor) {
        return oneOf(cursor, BankChange.values(), BankChange::words, "What does a bank change? \"what each switch sends\", \"the channel\""
                + " or \"the numbers, which go on\".");
    }
}
