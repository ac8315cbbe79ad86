package embrack.core.gear.text;

import embrack.core.gear.Ability;
import embrack.core.gear.Condition;
import embrack.core.gear.Connector;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.ControlType;
import embrack.core.gear.CueLine;
import embrack.core.gear.DeskPages;
import embrack.core.gear.Direction;
import embrack.core.gear.FactoryRun;
import embrack.core.gear.Memory;
import embrack.core.gear.Phantom;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Power;
import embrack.core.gear.Quirks;
import embrack.core.gear.Route;
import embrack.core.gear.Setting;
import embrack.core.gear.Shaping;
import embrack.core.gear.SharedSocket;
import embrack.core.gear.Signal;
import embrack.core.gear.Sockets;
import embrack.core.gear.Surface;
import embrack.core.gear.SwitchMode;
import embrack.core.level.Nominal;
import embrack.core.midi.Channel;
import embrack.core.midi.MessageType;
import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import embrack.core.text.Problem;
import embrack.core.text.Prose;
import embrack.core.text.Spelling;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.stream.Stream;

/** Reads the text of a box line by line. */
final class BoxReader {

    private final String text;
    private final List<Problem> problems = new ArrayList<>();
    private final List<Port> ports = new ArrayList<>();
    private final List<SharedSocket> shared = new ArrayList<>();
    private final SortedMap<Route, Boolean> passes = new TreeMap<>();
    private final List<ControlGroup> groups = new ArrayList<>();
    private final List<Setting> settings = new ArrayList<>();
    private final List<Condition> conditions = new ArrayList<>();
    private final SoundLines sound = new SoundLines(ports);
    private final BoardReader board = new BoardReader();
    private final Map<String, Consumer<Cursor>> lines;
    private Optional<PortId> heartbeat = Optional.empty();
    private Optional<String> keep = Optional.empty();
    private Optional<CueLine> cueLine = Optional.empty();
    private Optional<Power> power = Optional.empty();
    private Optional<DeskPages> pages = Optional.empty();
    private Quirks quirks = Quirks.NONE;
    private int memories;
    private int line;

    BoxReader(String text) {
        this.text = text;
        this.lines = Map.of(
                "fixtures",
                this::fixtures,
                "memories",
                this::memories,
                "keep",
                this::keep,
                "timed messages",
                this::timedMessages,
                "power",
                this::power,
                "habits",
                this::habits);
    }

    BoxReading read() {
        if (text.length() > BoxReading.MAX_LENGTH) {
            problems.add(new Problem(
                    Problem.Level.ERROR,
                    1,
                    1,
                    1,
                    "This text has %d characters; a box has at most %d."
                            .formatted(text.length(), BoxReading.MAX_LENGTH)));
            return new BoxReading(text, Optional.empty(), problems);
        }
        text.lines().forEach(this::readLine);
        Optional<Box> box = problems.isEmpty() ? whole() : Optional.empty();
        return new BoxReading(text, box, problems);
    }

    private Optional<Box> whole() {
        try {
            return Optional.of(new Box(
                    new Sockets(ports, shared, passes, heartbeat, sound.inside()),
                    new Surface(board.board(), groups, pages),
                    new Memory(settings, conditions, memories, keep, cueLine),
                    quirks,
                    power));
        } catch (IllegalArgumentException e) {
            problems.add(
                    new Problem(Problem.Level.ERROR, Math.max(1, line), 1, 1, Pieces.capital(e.getMessage()) + "."));
            return Optional.empty();
        }
    }

    private void readLine(String content) {
        line++;
        Cursor cursor = Cursor.of(content.replace('\t', ' '));
        try {
            Prose.requireLine(content);
            if (cursor.isAtEnd()) {
                return;
            }
            readLine(cursor);
            if (!cursor.isAtEnd()) {
                throw new Fault(
                        cursor.column(),
                        cursor.rest().length(),
                        "\"%s\" is not understood here.".formatted(cursor.rest()));
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
        } else if (cursor.accept("pass")) {
            pass(cursor);
        } else if (cursor.accept("plays on")) {
            heartbeat(cursor);
        } else if (cursor.accept("setting")) {
            settings.add(SettingReader.read(cursor));
        } else if (!sound.accepts(cursor)
                && !readCondition(cursor)
                && !board.accepts(cursor)
                && !acceptsGroup(cursor)) {
            String word = lines.keySet().stream()
                    .filter(cursor::accept)
                    .findFirst()
                    .orElseThrow(() -> cursor.fault(unknown(cursor.peek())));
            Pieces.colon(cursor, word);
            Objects.requireNonNull(lines.get(word)).accept(cursor);
        }
    }

    private boolean readCondition(Cursor cursor) {
        Optional<Ability> ability = ConditionReader.ability(cursor);
        ability.ifPresent(a -> conditions.add(ConditionReader.read(a, cursor, settings)));
        return ability.isPresent();
    }

    private static String unknown(String word) {
        List<String> known = Stream.concat(
                        Stream.of(
                                "port",
                                "shared",
                                "pass",
                                "sound",
                                "makes",
                                "heard at",
                                "setting",
                                "memories",
                                "keep",
                                "timed messages",
                                "power",
                                "fixtures",
                                "habits"),
                        Stream.concat(
                                BoardReader.WORDS.stream(),
                                Stream.of(ControlType.values()).map(ControlType::plural)))
                .toList();
        return known.stream()
                .filter(each -> Spelling.isNear(word, each))
                .findFirst()
                .map(near -> "\"%s\" does not begin a line. Did you mean \"%s\"?".formatted(word, near))
                .orElseGet(() -> "\"%s\" does not begin a line. A line begins with one of: %s."
                        .formatted(word, String.join(", ", known)));
    }

    private void port(Cursor cursor) {
        Pieces.Named named = Pieces.named(cursor, "port MIDI IN: 5-pin in");
        Connector connector = Pieces.oneOf(
                cursor,
                Connector.values(),
                Connector::key,
                "What is it? 5-pin, TRS type A, TRS type B, USB device, USB host, Bluetooth, network, Wi-Fi, virtual,"
                        + " power, DMX; for sound audio, XLR, balanced jack, mono jack, stereo jack, headphones, phono,"
                        + " multicore, optical, sound network or computer sound.");
        Direction direction =
                Pieces.oneOf(cursor, Direction.values(), Direction::words, "Which way? in, out, thru or both ways.");
        int gives = 0;
        boolean forOne = false;
        Signal signal = Signal.of(connector);
        while (cursor.accept(",")) {
            Optional<Signal> said = connector.carriesSound() ? signal(cursor, signal) : Optional.empty();
            if (said.isPresent()) {
                signal = said.get();
            } else if (cursor.accept("for one controller")) {
                forOne = true;
            } else if (cursor.accept("gives")) {
                gives = milliamps(cursor);
            } else {
                throw cursor.fault(
                        connector.carriesSound()
                                ? "Here may stand \"12 channels\", \"at +4 dBu\", \"gives 48 V\", \"needs 48 V\""
                                        + " or \"harmed by 48 V\"."
                                : "Here may stand \"gives 500 mA\" or \"for one controller\".");
            }
        }
        int given = gives;
        boolean kept = forOne;
        Signal passes = signal;
        ports.addAll(Pieces.fit(
                named, () -> new PortRun(named.id(), named.label()).ports(connector, direction, given, kept, passes)));
    }

    /** What is said of sound at a port; empty when it is something else. */
    private static Optional<Signal> signal(Cursor cursor, Signal before) {
        int column = cursor.column();
        if (cursor.accept("at")) {
            int comma = cursor.rest().indexOf(',');
            String level = comma < 0 ? cursor.rest() : cursor.rest().substring(0, comma);
            cursor.step(level.length());
            return Optional.of(Pieces.fit(
                    column, () -> new Signal(before.channels(), Optional.of(Nominal.parse(level)), before.phantom())));
        }
        for (Phantom phantom : Phantom.values()) {
            if (phantom != Phantom.NONE && cursor.accept(phantom.words().toLowerCase(Locale.ROOT))) {
                return Optional.of(new Signal(before.channels(), before.level(), phantom));
            }
        }
        if (cursor.peek().matches("\\d{1,2}")) {
            int channels = Pieces.number(cursor, 1, Signal.MOST);
            if (!cursor.accept("channels") && !cursor.accept("channel")) {
                throw cursor.fault("How many sounds does it carry? Such as: 12 channels");
            }
            return Optional.of(new Signal(channels, before.level(), before.phantom()));
        }
        return Optional.empty();
    }

    private void pass(Cursor cursor) {
        PortId from = portBefore(cursor, " to ");
        cursor.accept("to");
        boolean open = cursor.find(',') < 0;
        PortId to = portBefore(cursor, ",");
        if (!open && !(cursor.accept(",") && cursor.accept("off"))) {
            throw cursor.fault("Behind the comma may stand \"off\": not passed on until it is switched on.");
        }
        passes.put(new Route(from, to), open);
    }

    private PortId portBefore(Cursor cursor, String end) {
        int at = cursor.rest().indexOf(end);
        String name = (at < 0 ? cursor.rest() : cursor.rest().substring(0, at));
        int column = cursor.column();
        cursor.step(name.length());
        return ports.stream()
                .filter(p -> p.name().text().equalsIgnoreCase(name.strip())
                        || p.id().text().equals(name.strip()))
                .findFirst()
                .map(Port::id)
                .orElseThrow(() -> new Fault(
                        column, Math.max(1, name.length()), "No port above is called \"%s\".".formatted(name.strip())));
    }

    private static int milliamps(Cursor cursor) {
        int milliamps = Pieces.number(cursor, 1, 20_000);
        if (!cursor.accept("ma")) {
            throw cursor.fault("A current is given in mA.");
        }
        return milliamps;
    }

    private void share(Cursor cursor) {
        Pieces.Named named = Pieces.named(cursor, "shared the only socket: USB, Power; 1 at once");
        List<PortId> uses = new ArrayList<>();
        int semicolon = cursor.find(';');
        if (semicolon < 0) {
            throw cursor.fault("How many at once? shared the only socket: USB, Power; 1 at once");
        }
        Cursor names = cursor.until(semicolon);
        int column = names.column();
        for (String name : names.rest().split(",")) {
            uses.add(ports.stream()
                    .filter(p -> p.name().text().equalsIgnoreCase(name.strip()))
                    .findFirst()
                    .map(Port::id)
                    .orElseThrow(
                            () -> new Fault(column, 1, "No port above is called \"%s\".".formatted(name.strip()))));
        }
        int atOnce = Pieces.number(cursor, 1, 64);
        if (!cursor.accept("at once")) {
            throw cursor.fault("This ends with \"at once\".");
        }
        shared.add(Pieces.fit(named, () -> new SharedSocket(named.label(), uses, atOnce)));
    }

    private boolean acceptsGroup(Cursor cursor) {
        for (ControlType type : ControlType.values()) {
            if (cursor.accept(type.plural()) || cursor.accept(type.words())) {
                Pieces.colon(cursor, type.plural());
                int column = cursor.column();
                int count = Pieces.number(cursor, 1, 128);
                int columns = cursor.accept("in rows of") ? Pieces.number(cursor, 1, 128) : count;
                List<FactoryRun> fixed = new ArrayList<>();
                SortedSet<MessageType> sends = Pieces.sends(cursor, fixed);
                Optional<Channel> channel = cursor.accept("on channel") || cursor.accept(", on channel")
                        ? Optional.of(new Channel(Pieces.number(cursor, 1, 16)))
                        : Optional.empty();
                Shaping shaping = cursor.accept("with") || cursor.accept(", with")
                        ? Pieces.oneOf(
                                cursor,
                                new Shaping[] {Shaping.RANGE, Shaping.CURVE},
                                Shaping::words,
                                "\"with range\" or \"with range and curve\"?")
                        : Shaping.NONE;
                int numbers = messagesEach(cursor);
                SortedSet<SwitchMode> modes = type.isSwept() ? new TreeSet<>() : modes(cursor);
                groups.add(Pieces.fit(
                        column,
                        () -> new ControlGroup(type, count, columns, sends, channel, shaping, numbers, fixed, modes)));
                return true;
            }
        }
        return false;
    }

    /** What pads, keys or buttons can do down and up, or nothing for what most do. */
    private static SortedSet<SwitchMode> modes(Cursor cursor) {
        SortedSet<SwitchMode> modes = new TreeSet<>();
        while (cursor.accept(",")) {
            modes.add(Pieces.oneOf(
                    cursor,
                    SwitchMode.values(),
                    SwitchMode::key,
                    "Here may stand what they can do: momentary, alternating, one-shot."));
        }
        return modes;
    }

    /** "2 messages each", or nothing for one. */
    private static int messagesEach(Cursor cursor) {
        int column = cursor.column();
        if (!cursor.accept(",")) {
            return 1;
        }
        if (Stream.of(SwitchMode.values()).anyMatch(mode -> cursor.peek().equalsIgnoreCase(mode.key()))) {
            cursor.backTo(column);
            return 1;
        }
        int numbers = Pieces.number(cursor, 1, ControlGroup.MOST_NUMBERS);
        if (!cursor.accept("messages each") && !cursor.accept("message each")) {
            throw cursor.fault("How many can one send? Such as: 2 messages each");
        }
        return numbers;
    }

    private void memories(Cursor cursor) {
        memories = Pieces.number(cursor, 0, 1000);
    }

    private void keep(Cursor cursor) {
        String words = cursor.rest();
        if (words.isEmpty() || words.length() > 200) {
            throw cursor.fault(
                    "Say in 1 to 200 characters what must be done so that the box keeps what was programmed.");
        }
        cursor.step(words.length());
        keep = Optional.of(words);
    }

    private void timedMessages(Cursor cursor) {
        int column = cursor.column();
        String pattern = cursor.rest();
        cursor.step(pattern.length());
        cueLine = Optional.of(Pieces.fit(column, () -> new CueLine(pattern)));
    }

    private void power(Cursor cursor) {
        SortedSet<Power.Source> sources = new TreeSet<>();
        do {
            sources.add(Pieces.oneOf(
                    cursor,
                    Power.Source.values(),
                    Power.Source::words,
                    "What does it run from? USB, a supply of its own, batteries or mains."));
        } while (cursor.accept("or"));
        int milliamps = 0;
        int seconds = 0;
        int hours = 0;
        int column = cursor.column();
        while (cursor.accept(",")) {
            if (cursor.accept("starts in")) {
                seconds = Pieces.number(cursor, 1, 600);
                if (!cursor.accept("s")) {
                    throw cursor.fault("A time to start is given in s: starts in 20 s.");
                }
            } else if (cursor.accept("lasts")) {
                hours = Pieces.number(cursor, 1, 1_000);
                if (!cursor.accept("h")) {
                    throw cursor.fault("How long batteries last is given in h: lasts 8 h.");
                }
            } else {
                milliamps = milliamps(cursor);
            }
        }
        int draw = milliamps;
        int start = seconds;
        int lasts = hours;
        power = Optional.of(Pieces.fit(column, () -> new Power(sources, draw, start, lasts)));
    }

    private void heartbeat(Cursor cursor) {
        if (!cursor.accept("only while heartbeat is on")) {
            throw cursor.fault("On which output has the heartbeat to be? plays on only while Heartbeat is on Output 8");
        }
        heartbeat = Optional.of(portBefore(cursor, ","));
    }

    /** 12 of 32 slots, 8 faders a row. */
    private void fixtures(Cursor cursor) {
        int column = cursor.column();
        int buttons = Pieces.number(cursor, 1, DeskPages.MAX_BUTTONS);
        expect(cursor, "of");
        int slots = Pieces.number(cursor, 1, DeskPages.MAX_SLOTS);
        expect(cursor, "slots");
        expect(cursor, ",");
        int faders = Pieces.number(cursor, 1, DeskPages.MAX_FADERS);
        expect(cursor, "faders a row");
        pages = Optional.of(Pieces.fit(column, () -> new DeskPages(buttons, slots, faders)));
    }

    private static void expect(Cursor cursor, String words) {
        if (!cursor.accept(words)) {
            throw cursor.fault("Write how many fixture buttons of how many slots: 12 of 32 slots, 8 faders a row");
        }
    }

    private void habits(Cursor cursor) {
        do {
            quirks = habit(cursor);
        } while (cursor.accept(";") || cursor.accept(","));
    }

    private Quirks habit(Cursor cursor) {
        if (cursor.accept("listens to all channels")) {
            return quirks.withAllChannels();
        } else if (cursor.accept("acts on note-off")) {
            return quirks.withNoteOffs();
        } else if (cursor.accept("looks for ports at start")) {
            return quirks.withPortsAtStart();
        } else if (cursor.accept("press also sends when held")) {
            return quirks.withPressWhenHeld();
        } else if (cursor.peek().matches("\\d+")) {
            int inputs = Pieces.number(cursor, 1, 128);
            if (!cursor.accept("assignable inputs")) {
                throw cursor.fault("Write such as \"16 assignable inputs\".");
            }
            return quirks.withInputs(inputs);
        }
        throw cursor.fault("Known habits: listens to all channels; acts on note-off; looks for ports at start; "
                + "press also sends when held; 16 assignable inputs.");
    }
}
