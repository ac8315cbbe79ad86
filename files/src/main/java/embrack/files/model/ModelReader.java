package embrack.files.model;

import embrack.core.chart.Chart;
import embrack.core.chart.ChartReading;
import embrack.core.gear.BankChange;
import embrack.core.gear.Board;
import embrack.core.gear.Connector;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.ControlType;
import embrack.core.gear.Direction;
import embrack.core.gear.FactoryRun;
import embrack.core.gear.Gesture;
import embrack.core.gear.Implementation;
import embrack.core.gear.Kind;
import embrack.core.gear.Memory;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Power;
import embrack.core.gear.Quirks;
import embrack.core.gear.Route;
import embrack.core.gear.Scope;
import embrack.core.gear.SendChannel;
import embrack.core.gear.Setting;
import embrack.core.gear.SettingId;
import embrack.core.gear.Shaping;
import embrack.core.gear.SharedSocket;
import embrack.core.gear.Sockets;
import embrack.core.gear.Surface;
import embrack.core.gear.SwitchMode;
import embrack.core.midi.Channel;
import embrack.core.midi.MessageType;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.ValueDisplay;
import embrack.core.midi.Wire.RunningStatus;
import embrack.core.name.TapeLabel;
import embrack.files.json.Fields;
import embrack.files.json.UnreadableFile.Problem;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/** Reads a model from the fields of a file. */
public final class ModelReader {

    static final int MAX_PORTS = 64;
    static final int MAX_SETTINGS = 256;

    private static final Map<String, Kind> KINDS = FileWords.byWord(Kind.values());
    private static final Map<String, Connector> CONNECTORS = FileWords.byWord(Connector.values());
    private static final Map<String, Direction> DIRECTIONS = FileWords.byWord(Direction.values());
    private static final Map<String, SendChannel> SEND_CHANNELS = FileWords.byWord(SendChannel.values());
    private static final Map<String, ValueDisplay> DISPLAYS = FileWords.byWord(ValueDisplay.values());
    private static final Map<String, BankChange> BANK_CHANGES = FileWords.byWord(BankChange.values());
    private static final Map<String, Gesture> GESTURES = FileWords.byWord(Gesture.values());
    private static final Map<String, SwitchMode> MODES = FileWords.byWord(SwitchMode.values());
    private static final Map<String, ControlType> CONTROL_TYPES = FileWords.byWord(ControlType.values());
    private static final Map<String, Shaping> SHAPINGS = FileWords.byWord(Shaping.values());
    private static final Map<String, Scope> SCOPES = FileWords.byWord(Scope.values());
    private static final Map<String, Power.Source> SOURCES = FileWords.byWord(Power.Source.values());

    private ModelReader() {}

    /** The model that an object describes. */
    public static Model read(Fields f) {
        ModelId id = f.text("id", ModelId::new);
        TapeLabel name = f.text("name", TapeLabel::new);
        Kind kind = f.oneOf("kind", KINDS);
        Sockets sockets = sockets(f);
        var surface = new Surface(
                f.optionalObject("board", ModelReader::board),
                f.holds("controls") ? f.objects("controls", 64, ModelReader::group) : List.of());
        Memory memory = memory(f);
        var implementation = new Implementation(
                chart(f, "chart"),
                chart(f, "reality"),
                f.optionalObject("habits", ModelReader::quirks).orElse(Quirks.NONE));
        Optional<Power> power = f.optionalObject("power", ModelReader::power);
        return f.fit(() -> new Model(id, name, kind, sockets, surface, memory, implementation, power));
    }

    static Sockets sockets(Fields f) {
        List<Port> ports = f.objects("ports", MAX_PORTS, ModelReader::port);
        List<SharedSocket> shared =
                f.holds("sharedSockets") ? f.objects("sharedSockets", MAX_PORTS, ModelReader::shared) : List.of();
        SortedMap<Route, Boolean> passes = new TreeMap<>();
        if (f.holds("passes")) {
            f.objects(
                    "passes",
                    4 * MAX_PORTS,
                    p -> passes.put(
                            new Route(p.text("from", PortId::new), p.text("to", PortId::new)), p.boolOr("open", true)));
        }
        return f.fit(passes.isEmpty() ? "ports" : "passes", () -> new Sockets(ports, shared, passes));
    }

    private static Port port(Fields f) {
        PortId id = f.text("id", PortId::new);
        TapeLabel name = f.text("name", TapeLabel::new);
        Connector connector = f.oneOf("connector", CONNECTORS);
        Direction direction = f.oneOf("direction", DIRECTIONS);
        int gives = f.integerOr("gives", 0);
        boolean forOne = f.boolOr("forOneController", false);
        return f.fit(() -> new Port(id, name, connector, direction, gives, forOne));
    }

    private static SharedSocket shared(Fields f) {
        TapeLabel name = f.text("name", TapeLabel::new);
        List<String> uses = f.texts("ports");
        List<PortId> ports = f.fit("ports", () -> uses.stream().map(PortId::new).toList());
        int atOnce = f.integer("atOnce");
        return f.fit(() -> new SharedSocket(name, ports, atOnce));
    }

    static Board board(Fields f) {
        int switches = f.integer("switches");
        int columns = f.integer("columns");
        List<String> banks = f.texts("banks");
        List<TapeLabel> names =
                f.fit("banks", () -> banks.stream().map(TapeLabel::new).toList());
        BankChange changes = f.holds("bankChanges") ? f.oneOf("bankChanges", BANK_CHANGES) : BankChange.ASSIGNMENTS;
        var sends = f.severalOf("sends", FileWords.MESSAGE_TYPES);
        int perPress = f.integer("messagesPerPress");
        SortedSet<Gesture> gestures =
                new TreeSet<>(f.holds("gestures") ? f.severalOf("gestures", GESTURES) : List.of(Gesture.PRESS));
        SortedSet<SwitchMode> modes =
                new TreeSet<>(f.holds("modes") ? f.severalOf("modes", MODES) : List.of(SwitchMode.ONE_SHOT));
        Optional<FactoryRun> run = f.optionalObject("factoryRun", ModelReader::factoryRun);
        var channel = f.oneOf("sendChannel", SEND_CHANNELS);
        RunningStatus running = f.bool("runningStatus") ? RunningStatus.USED : RunningStatus.NOT_USED;
        int first = f.integer("programsFrom");
        ProgramCounting programs = f.fit("programsFrom", () -> switch (first) {
            case 0 -> ProgramCounting.FROM_ZERO;
            case 1 -> ProgramCounting.FROM_ONE;
            default -> throw new IllegalArgumentException("must be 0 or 1, was " + first);
        });
        var display = f.oneOf("display", DISPLAYS);
        int longestWait = f.integerOr("longestWaitMillis", 0);
        int characters = f.integerOr("labelCharacters", 0);
        return f.fit(() -> new Board(
                switches,
                columns,
                names,
                changes,
                new TreeSet<>(sends),
                perPress,
                gestures,
                modes,
                run,
                channel,
                running,
                programs,
                display,
                longestWait,
                characters));
    }

    private static FactoryRun factoryRun(Fields f) {
        MessageType type = f.oneOf("type", FileWords.MESSAGE_TYPES);
        List<Integer> numbers = f.integers("numbers");
        return f.fit("numbers", () -> new FactoryRun(type, numbers));
    }

    private static ControlGroup group(Fields f) {
        ControlType type = f.oneOf("type", CONTROL_TYPES);
        int count = f.integer("count");
        int columns = f.integer("columns");
        var sends = f.severalOf("sends", FileWords.MESSAGE_TYPES);
        Optional<Integer> channel = f.holds("channel") ? Optional.of(f.integer("channel")) : Optional.empty();
        Optional<Channel> own = f.fit("channel", () -> channel.map(Channel::new));
        Shaping shaping = f.holds("shaping") ? f.oneOf("shaping", SHAPINGS) : Shaping.NONE;
        return f.fit(() -> new ControlGroup(type, count, columns, new TreeSet<>(sends), own, shaping));
    }

    static Memory memory(Fields f) {
        List<Setting> settings = f.objects("settings", MAX_SETTINGS, ModelReader::setting);
        int memories = f.integerOr("memories", 0);
        Optional<String> writing = f.optionalText("writing", ModelReader::sentence);
        return f.fit("settings", () -> new Memory(settings, memories, writing));
    }

    private static Setting setting(Fields f) {
        SettingId id = f.text("id", SettingId::new);
        TapeLabel name = f.text("name", TapeLabel::new);
        int min = f.integer("min");
        int max = f.integer("max");
        int factory = f.integer("factory");
        List<String> words = f.holds("choices") ? f.texts("choices") : List.of();
        List<TapeLabel> choices =
                f.fit("choices", () -> words.stream().map(TapeLabel::new).toList());
        Scope scope = f.holds("scope") ? f.oneOf("scope", SCOPES) : Scope.BOX;
        return f.fit(() -> new Setting(id, name, min, max, factory, choices, scope));
    }

    /** A chart as a list of the lines of its text; each line that cannot be read is a problem of its own. */
    private static Chart chart(Fields f, String name) {
        if (!f.holds(name)) {
            return Chart.EMPTY;
        }
        List<String> lines = f.texts(name);
        ChartReading reading = f.fit(name, () -> {
            if (lines.stream().anyMatch(line -> line.lines().count() > 1)) {
                throw new IllegalArgumentException("holds a line break; each line of the chart is a text of its own");
            }
            return ChartReading.of(String.join("\n", lines));
        });
        return reading.chart()
                .orElseThrow(() -> f.abandon(reading.errors().stream()
                        .map(p -> new Problem(
                                "%s[%d]".formatted(f.path(name), p.line() - 1),
                                "column %d: %s".formatted(p.column(), p.words())))
                        .toList()));
    }

    private static Quirks quirks(Fields f) {
        boolean all = f.boolOr("hearsAllChannels", false);
        boolean off = f.boolOr("actsOnNoteOff", false);
        boolean start = f.boolOr("looksForPortsAtStart", false);
        int inputs = f.integerOr("assignableInputs", 0);
        return f.fit(() -> new Quirks(all, off, start, inputs));
    }

    private static Power power(Fields f) {
        var from = f.severalOf("from", SOURCES);
        int milliamps = f.integer("milliamps");
        return f.fit(() -> new Power(new TreeSet<>(from), milliamps));
    }

    private static String sentence(String text) {
        if (text.isBlank() || text.length() > 200) {
            throw new IllegalArgumentException("must have 1 to 200 characters, was " + text.length());
        }
        return text;
    }
}
