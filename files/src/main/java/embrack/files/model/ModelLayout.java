package embrack.files.model;

import static embrack.files.json.Shapes.as;
import static embrack.files.json.Shapes.list;
import static embrack.files.json.Shapes.one;
import static embrack.files.json.Shapes.texts;
import static embrack.files.json.Shapes.truth;
import static embrack.files.json.Shapes.whole;
import static embrack.files.json.Shapes.word;
import static embrack.files.json.Shapes.words;

import embrack.core.chart.Chart;
import embrack.core.gear.Ability;
import embrack.core.gear.Condition;
import embrack.core.gear.Connector;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.ControlType;
import embrack.core.gear.CueLine;
import embrack.core.gear.DeskPages;
import embrack.core.gear.Direction;
import embrack.core.gear.Implementation;
import embrack.core.gear.Kind;
import embrack.core.gear.Memory;
import embrack.core.gear.Model;
import embrack.core.gear.Phantom;
import embrack.core.gear.Port;
import embrack.core.gear.Power;
import embrack.core.gear.Purpose;
import embrack.core.gear.Quirks;
import embrack.core.gear.Route;
import embrack.core.gear.Scope;
import embrack.core.gear.Setting;
import embrack.core.gear.Shaping;
import embrack.core.gear.SharedSocket;
import embrack.core.gear.Signal;
import embrack.core.gear.Sockets;
import embrack.core.gear.Surface;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.text.SoundLines;
import embrack.core.level.Nominal;
import embrack.core.midi.Channel;
import embrack.files.json.Field;
import embrack.files.json.Given;
import embrack.files.json.Layout;
import embrack.files.json.Layout.Table;
import embrack.files.json.Shape;
import embrack.files.json.Text;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;

/** The fields of a model: a kind of hardware as its manual describes it. */
public final class ModelLayout {

    private static final int MAX_PORTS = 64;
    private static final int MAX_SETTINGS = 256;
    private static final int MAX_SOUND = 256;

    private static final Text<String> SENTENCE =
            new Text<>("sentence", "1 to 200 characters", Texts.lengths(1, 200), ModelLayout::sentence, same -> same);

    private static final Text<CueLine> CUE_LINE = new Text<>(
            "cue-line",
            "1 to %d characters with `{time}`, and `{bytes}` or `{type}`, `{channel}` and `{number}`"
                    .formatted(CueLine.MAX_LENGTH),
            Texts.lengths(1, CueLine.MAX_LENGTH),
            CueLine::new,
            CueLine::pattern);

    private static final Text<Nominal> LEVEL = new Text<>(
            "nominal-level",
            "such as `+4 dBu`, `-10 dBV` or `-60..+20 dBu`",
            Texts.lengths(1, 40),
            Nominal::parse,
            Nominal::text);

    private static final Text<String> SOUND_LINE = new Text<>(
            "sound-line", "1 to 400 characters", Texts.lengths(1, 400), ModelLayout::soundLine, same -> same);

    /** A MIDI channel as printed on gear. */
    public static final Shape<Object, Channel> CHANNEL = as(whole(1, 16), Channel::new, Channel::number);

    static final Layout<Object, Port> PORT = Layout.of("port", "A socket of a box.", t -> {
        var id = t.needs("id", Texts.PORT, "used inside the file only", Port::id);
        var name = t.needs("name", Texts.LABEL, "as printed beside it", Port::name);
        var connector = t.needs("connector", word(FileWords.byWord(Connector.values())), "what it is", Port::connector);
        var direction = t.needs(
                "direction", word(FileWords.byWord(Direction.values())), "which way it carries", Port::direction);
        var gives = t.or("gives", whole(0, 20_000), 0, "mA that it gives to what is plugged in", Port::gives);
        var forOne = t.or(
                "forOneController",
                truth(),
                false,
                "a host socket that is kept for one controller",
                Port::forOneController);
        var channels = t.may(
                "channels",
                whole(1, Signal.MOST),
                "how many sounds it carries, where that does not follow from what it is",
                p -> Optional.of(p.signal().channels())
                        .filter(n -> n != Signal.of(p.connector()).channels()));
        var level = t.may(
                "level",
                LEVEL,
                "the level that it sends, or from what to what it takes",
                p -> p.signal().level());
        var phantom = t.or(
                "phantom",
                word(FileWords.byWord(Phantom.values())),
                Phantom.NONE,
                "what it has to do with 48 V on the lead",
                p -> p.signal().phantom());
        return g -> new Port(
                g.get(id),
                g.get(name),
                g.get(connector),
                g.get(direction),
                g.get(gives),
                g.get(forOne),
                g.at(
                        channels,
                        () -> new Signal(
                                g.get(channels)
                                        .orElseGet(() ->
                                                Signal.of(g.get(connector)).channels()),
                                g.get(level),
                                g.get(phantom))));
    });

    static final Layout<Object, SharedSocket> SHARED =
            Layout.of("shared-socket", "A socket with more uses than it can have at once.", t -> {
                var name = t.needs("name", Texts.LABEL, "what it is called", SharedSocket::name);
                var ports = t.needs("ports", texts(Texts.PORT, 2, MAX_PORTS), "its uses", SharedSocket::ports);
                var atOnce = t.needs("atOnce", whole(1, MAX_PORTS), "how many of them at once", SharedSocket::atOnce);
                return g -> new SharedSocket(g.get(name), g.get(ports), g.get(atOnce));
            });

    private static final Layout<Object, Map.Entry<Route, Boolean>> PASS =
            Layout.of("pass", "A way through a box, beside those from its inputs to its THRU.", t -> {
                var from = t.needs(
                        "from", Texts.PORT, "where it comes in", p -> p.getKey().from());
                var to = t.needs(
                        "to", Texts.PORT, "where it goes out", p -> p.getKey().to());
                var open = t.either(
                        "open",
                        truth(),
                        true,
                        "whether a new box has it open; true where it is not said",
                        p -> Optional.of(p.getValue()));
                return g -> Map.entry(new Route(g.get(from), g.get(to)), g.get(open));
            });

    private static final Layout<Object, ControlGroup> GROUP =
            Layout.of("controls", "Controls of one type, in rows.", t -> {
                var type = t.needs(
                        "type",
                        word(FileWords.byWord(ControlType.values())),
                        "a `treadle` is an expression pedal",
                        ControlGroup::type);
                var count = t.needs("count", whole(1, 128), "how many", ControlGroup::count);
                var columns = t.needs("columns", whole(1, 128), "how many in a row", ControlGroup::columns);
                var sends = t.needs("sends", words(FileWords.MESSAGE_TYPES), "what they can send", ControlGroup::sends);
                var channel = t.may(
                        "channel",
                        CHANNEL,
                        "the channel that they keep whatever the box is set to",
                        ControlGroup::channel);
                var shaping = t.or(
                        "shaping",
                        word(FileWords.byWord(Shaping.values())),
                        Shaping.NONE,
                        "what the box makes of their way before it sends it",
                        ControlGroup::shaping);
                var numbers = t.or(
                        "numbers",
                        whole(1, ControlGroup.MOST_NUMBERS),
                        1,
                        "how many different messages one of them can send as it moves",
                        ControlGroup::numbers);
                var fixed = t.or(
                        "factoryRuns",
                        list(BoardLayout.FACTORY_RUN, 64),
                        List.of(),
                        "what they send that cannot be programmed",
                        ControlGroup::fixed);
                var modes = t.may(
                        "modes",
                        words(FileWords.byWord(SwitchMode.values())),
                        "what pads, keys and buttons can be set to; missing for momentary alone",
                        c -> Optional.of(c.modes()).filter(all -> c.saysModes()));
                return g -> g.at(
                        fixed,
                        () -> new ControlGroup(
                                g.get(type),
                                g.get(count),
                                g.get(columns),
                                g.get(sends),
                                g.get(channel),
                                g.get(shaping),
                                g.get(numbers),
                                g.get(fixed),
                                g.get(modes).orElseGet(TreeSet::new)));
            });

    static final Layout<Object, Setting> SETTING =
            Layout.of("setting", "A setting, with values as the box shows them.", t -> {
                var id = t.needs("id", Texts.SETTING, "used inside the file only", Setting::id);
                var name = t.needs("name", Texts.LABEL, "as the box's menu calls it", Setting::name);
                var min = t.needs("min", whole(), "the lowest value", Setting::min);
                var max = t.needs("max", whole(), "the highest value", Setting::max);
                var factory = t.needs("factory", whole(), "the value of a new box", Setting::factory);
                var choices = t.or(
                        "choices",
                        texts(Texts.LABEL, 0, 1_000),
                        List.of(),
                        "what the box shows instead of numbers, the first for `min`",
                        Setting::choices);
                var scope = t.or(
                        "scope",
                        word(FileWords.byWord(Scope.values())),
                        Scope.BOX,
                        "`memory`: each memory has its own",
                        Setting::scope);
                var besides = t.may(
                        "notAboutMessages",
                        SENTENCE,
                        "why it says nothing to messages, for a setting of that kind",
                        Setting::besides);
                var purpose = t.may(
                        "is",
                        word(FileWords.byWord(Purpose.values())),
                        "what it is for, where its id is another word than that",
                        s -> s.purpose().filter(p -> !p.id().equals(s.id())));
                return g -> new Setting(
                        g.get(id),
                        g.get(name),
                        g.get(purpose),
                        g.get(min),
                        g.get(max),
                        g.get(factory),
                        g.get(choices),
                        g.get(scope),
                        g.get(besides));
            });

    private static final Layout<Object, Condition> CONDITION =
            Layout.of("condition", "What a box does only while a setting is as it has to be.", t -> {
                var ability = t.needs(
                        "ability",
                        word(FileWords.byWord(Ability.values())),
                        "`sends`; `sends-clock`; `hears-notes`, for its tracks and sounds; `hears-remote`, its chart;"
                                + " `hears-sync`; `fails-over`, to the other of a pair",
                        Condition::ability);
                var setting = t.needs("setting", Texts.SETTING, "the setting", Condition::setting);
                var value = t.needs("value", whole(), "how it has to be", Condition::value);
                return g -> new Condition(g.get(ability), g.get(setting), g.get(value));
            });

    private static final Layout<Object, Quirks> HABITS =
            Layout.of("habits", "What the chart does not show; the simulator obeys it.", t -> {
                var all = told(t, "hearsAllChannels", "acts on messages of every channel", Quirks::hearsAllChannels);
                var off = told(t, "actsOnNoteOff", "a note-off acts as well", Quirks::actsOnNoteOff);
                var start = told(
                        t,
                        "looksForPortsAtStart",
                        "finds only what is plugged in before",
                        Quirks::looksForPortsAtStart);
                var inputs = t.either(
                        "assignableInputs",
                        whole(0, 128),
                        0,
                        "how many sources it can learn from",
                        q -> Optional.of(q.assignableInputs()));
                var held = told(
                        t,
                        "pressAlsoWhenHeld",
                        "a press is sent also by a switch that is held",
                        Quirks::pressAlsoWhenHeld);
                return g -> new Quirks(g.get(all), g.get(off), g.get(start), g.get(inputs), g.get(held));
            });

    private static final Layout<Object, Power> POWER = Layout.of("power", "What the box runs on.", t -> {
        var from = t.needs("from", words(FileWords.byWord(Power.Source.values())), "what can feed it", Power::sources);
        var milliamps = t.needs("milliamps", whole(0, 20_000), "mA; 0 when it is not known", Power::milliamps);
        var starts =
                t.or("startSeconds", whole(0, 600), 0, "s until it obeys when it is switched on", Power::startSeconds);
        var lasts = t.or(
                "batteryHours",
                whole(0, 1_000),
                0,
                "h on full batteries; missing when it is not known",
                Power::batteryHours);
        return g -> g.at(lasts, () -> new Power(g.get(from), g.get(milliamps), g.get(starts), g.get(lasts)));
    });

    private static final Layout<Object, DeskPages> PAGES =
            Layout.of("pages", "How a lighting desk reaches slots: each fixture button owns a run of them.", t -> {
                var buttons = t.needs(
                        "buttons", whole(1, DeskPages.MAX_BUTTONS), "how many fixture buttons", DeskPages::buttons);
                var slots =
                        t.needs("slots", whole(1, DeskPages.MAX_SLOTS), "how many slots each owns", DeskPages::slots);
                var faders = t.needs(
                        "faders", whole(1, DeskPages.MAX_FADERS), "how many faders stand in a row", DeskPages::faders);
                return g -> new DeskPages(g.get(buttons), g.get(slots), g.get(faders));
            });

    /** A model, inside a plan. */
    public static final Layout<Object, Model> MODEL =
            Layout.of("model", "A kind of hardware as its manual describes it.", t -> fields(t, 8));

    /** A model as a file of its own. */
    static final Layout<Object, Model> FILE =
            Layout.of("model-file", "A model of gear: a kind of hardware as its manual describes it.", t -> {
                t.file(ModelFile.FORMAT, ModelFile.VERSION);
                return fields(t, 4);
            });

    private ModelLayout() {}

    /**
     * Declares the fields of a model.
     *
     * @param since the first version of the file in which charts say what parts are to a show
     */
    private static Function<Given<Object>, Model> fields(Table<Object, Model> t, int since) {
        var id = t.needs("id", Texts.MODEL, "used inside the file only", Model::id);
        var name = t.needs("name", Texts.LABEL, "what it is called", Model::name);
        var kind = t.needs("kind", word(FileWords.byWord(Kind.values())), "what kind of gear it is", Model::kind);
        var ports = t.needs("ports", list(PORT, MAX_PORTS), "its sockets", Model::ports);
        var shared = t.or(
                "sharedSockets",
                list(SHARED, MAX_PORTS),
                List.of(),
                "sockets with more uses than they can have at once",
                m -> m.sockets().shared());
        var passes = t.or(
                "passes",
                list(PASS, 4 * MAX_PORTS),
                List.of(),
                "ways through the box",
                m -> List.copyOf(m.sockets().passes().entrySet()));
        var heartbeat = t.may(
                "heartbeat",
                Texts.PORT,
                "the output on which the heartbeat of what hangs on it has to be",
                m -> m.sockets().heartbeat());
        var sound = t.or(
                "sound",
                texts(SOUND_LINE, 0, MAX_SOUND),
                List.of(),
                "what it does with sound, as in the text of a box: `sound In to Out`, `makes microphone at Out`,"
                        + " `heard at In by house`",
                m -> SoundLines.write(m.sound()));
        var board = t.may("board", one(BoardLayout.BOARD), "its switches", Model::board);
        var groups = t.or(
                "controls",
                list(GROUP, MAX_PORTS),
                List.of(),
                "other controls, from the back of the box to the front",
                m -> m.surface().groups());
        var pages = t.may(
                "fixturePages",
                one(PAGES),
                "how it reaches slots, for a lighting desk",
                m -> m.surface().pages());
        var settings = t.needs("settings", list(SETTING, MAX_SETTINGS), "what can be set", Model::settings);
        var conditions = t.or(
                "conditions",
                list(CONDITION, MAX_SETTINGS),
                List.of(),
                "what it does only while settings are as they have to be",
                m -> m.memory().conditions());
        var memories = t.or(
                "memories",
                whole(0, 1_000),
                0,
                "how many memories it has",
                m -> m.memory().memories());
        var chart = t.or(
                "chart",
                ChartShape.LINES,
                Chart.EMPTY,
                "what makes the box do what, as the manual says; this is what is sent",
                Model::chart);
        var reality = t.or(
                "reality",
                ChartShape.LINES,
                Chart.EMPTY,
                "what the box really does, in the same language; missing when it obeys its chart",
                m -> m.implementation().reality());
        var habits = t.or(
                "habits",
                one(HABITS),
                Quirks.NONE,
                "what the chart does not show",
                m -> m.implementation().quirks());
        var power = t.may("power", one(POWER), "what it runs on", Model::power);
        var writing = t.may(
                "writing",
                SENTENCE,
                "what must be done so that the box keeps what was programmed; missing when it keeps it at once",
                Model::writing);
        var cueLine = t.may(
                "timedMessages",
                CUE_LINE,
                "how it writes a timed message, where it takes and gives them as text",
                Model::cueLine);
        return g -> new Model(
                g.get(id),
                g.get(name),
                g.get(kind),
                g.at(
                        g.get(passes).isEmpty() ? ports : passes,
                        () -> new Sockets(
                                g.get(ports),
                                g.get(shared),
                                open(g.get(passes)),
                                g.get(heartbeat),
                                g.at(sound, () -> SoundLines.read(g.get(ports), g.get(sound))))),
                new Surface(g.get(board), g.get(groups), g.get(pages)),
                g.at(
                        settings,
                        () -> new Memory(
                                g.get(settings),
                                g.fields().version() < since
                                        ? EarlierSettings.conditions(g.get(settings))
                                        : g.get(conditions),
                                g.get(memories),
                                g.get(writing),
                                g.get(cueLine))),
                new Implementation(
                        g.fields().version() < since ? EarlierChart.filledIn(g.get(chart)) : g.get(chart),
                        g.get(reality),
                        g.get(habits)),
                g.get(power));
    }

    private static SortedMap<Route, Boolean> open(List<Map.Entry<Route, Boolean>> passes) {
        var open = new TreeMap<Route, Boolean>();
        passes.forEach(pass -> open.put(pass.getKey(), pass.getValue()));
        return open;
    }

    private static Field<Boolean> told(
            Table<Object, Quirks> t, String name, String words, Function<Quirks, Boolean> of) {
        return t.either(name, truth(), false, words, q -> Optional.of(of.apply(q)));
    }

    private static String soundLine(String text) {
        if (text.isBlank() || text.length() > 400) {
            throw new IllegalArgumentException("must have 1 to 400 characters, was " + text.length());
        }
        return text;
    }

    static String sentence(String text) {
        if (text.isBlank() || text.length() > 200) {
            throw new IllegalArgumentException("must have 1 to 200 characters, was " + text.length());
        }
        return text;
    }
}
