package embrack.files.model;

import static embrack.files.json.Shapes.as;
import static embrack.files.json.Shapes.list;
import static embrack.files.json.Shapes.one;
import static embrack.files.json.Shapes.texts;
import static embrack.files.json.Shapes.truth;
import static embrack.files.json.Shapes.whole;
import static embrack.files.json.Shapes.wholes;
import static embrack.files.json.Shapes.word;
import static embrack.files.json.Shapes.words;

import embrack.core.gear.BankChange;
import embrack.core.gear.Board;
import embrack.core.gear.ControlGroup;
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
import embrack.files.json.Layout;
import embrack.files.json.Shape;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

/** The fields of a board: the switches of a box that is pressed, and what they can send. */
final class BoardLayout {

    private static final int MAX_RUNS = 64;

    private static final Shape<Object, RunningStatus> RUNNING_STATUS = as(
            truth(),
            used -> used ? RunningStatus.USED : RunningStatus.NOT_USED,
            status -> status == RunningStatus.USED);

    private static final Shape<Object, ProgramCounting> PROGRAMS_FROM = as(
            whole(0, 1),
            first -> switch (first) {
                case 0 -> ProgramCounting.FROM_ZERO;
                case 1 -> ProgramCounting.FROM_ONE;
                default -> throw new IllegalArgumentException("must be 0 or 1, was " + first);
            },
            ProgramCounting::first);

    static final Layout<Object, FactoryRun> FACTORY_RUN =
            Layout.of("factory-run", "What switches or controls send that their factory chose.", t -> {
                var type = t.needs("type", word(FileWords.VOICES), "the type of all its messages", FactoryRun::type);
                var numbers = t.needs("numbers", wholes(0, 127), "as sent, one for each", FactoryRun::numbers);
                var on = t.may(
                        "on",
                        wholes(1, ControlGroup.MOST),
                        "which send these, in the same order; missing for the first ones",
                        run -> Optional.of(run.on()).filter(all -> !run.isOnTheFirst()));
                return g -> g.at(
                        numbers,
                        () -> g.get(on)
                                .map(all -> new FactoryRun(g.get(type), g.get(numbers), all))
                                .orElseGet(() -> new FactoryRun(g.get(type), g.get(numbers))));
            });

    private static final Layout<Object, Preset> PRESET =
            Layout.of("preset", "A programming that the box brings and that can be chosen.", t -> {
                var name = t.needs("name", Texts.LABEL, "as the box calls it", Preset::name);
                var runs = t.needs("runs", list(FACTORY_RUN, MAX_RUNS), "what it sends", Preset::runs);
                return g -> g.at(runs, () -> new Preset(g.get(name), g.get(runs)));
            });

    private static final Layout<Object, Counter> COUNTER =
            Layout.of("counter", "Two switches that step through programs from where the board stands.", t -> {
                var down = t.needs("down", whole(1, 32), "the switch that goes a step back", Counter::down);
                var up = t.needs("up", whole(1, 32), "the switch that goes a step on", Counter::up);
                var first = t.needs("first", whole(0, 127), "the first program, as sent", Counter::first);
                var last = t.needs("last", whole(0, 127), "the last program, as sent", Counter::last);
                var round = t.or("round", truth(), false, "whether the first follows on the last", Counter::round);
                return g ->
                        g.at(last, () -> new Counter(g.get(down), g.get(up), g.get(first), g.get(last), g.get(round)));
            });

    private static final Layout<Object, Map.Entry<MessageType, Integer>> MOST =
            Layout.of("most", "The most messages of a type in one press.", t -> {
                var type = t.needs("type", word(FileWords.MESSAGE_TYPES), "the type", Map.Entry::getKey);
                var most = t.needs("most", whole(1, 128), "how many", Map.Entry::getValue);
                return g -> Map.entry(g.get(type), g.get(most));
            });

    static final Layout<Object, Board> BOARD =
            Layout.of("board", "The switches of a box that is pressed, and what they can send.", t -> {
                var switches = t.needs("switches", whole(1, 32), "in a bank", Board::switches);
                var columns = t.needs("columns", whole(1, 32), "switches in a row", Board::columns);
                var banks = t.needs("banks", texts(Texts.LABEL, 1, 128), "what they are called", Board::banks);
                var changes = t.either(
                        "bankChanges",
                        word(FileWords.byWord(BankChange.values())),
                        BankChange.ASSIGNMENTS,
                        "what a bank changes: what each switch sends; the `channel`, which counts up from the send"
                                + " channel; the `numbers` of the factory run, which go on",
                        b -> Optional.of(b.bankChange()));
                var sends = t.needs("sends", words(FileWords.MESSAGE_TYPES), "what it can send", Board::sends);
                var perPress =
                        t.needs("messagesPerPress", whole(1, 128), "the most of one press", Board::messagesPerPress);
                var gestures = t.either(
                        "gestures",
                        words(FileWords.byWord(Gesture.values())),
                        new TreeSet<>(Set.of(Gesture.PRESS)),
                        "what it can tell apart; `press` is among them",
                        b -> Optional.of(b.gestures()));
                var modes = t.either(
                        "modes",
                        words(FileWords.byWord(SwitchMode.values())),
                        new TreeSet<>(Set.of(SwitchMode.ONE_SHOT)),
                        "what its switches can be set to",
                        b -> Optional.of(b.modes()));
                var run = t.may(
                        "factoryRun",
                        one(FACTORY_RUN),
                        "the one of `factoryRuns`, in files before version 6",
                        b -> Optional.empty());
                var runs = t.or(
                        "factoryRuns",
                        list(FACTORY_RUN, MAX_RUNS),
                        List.of(),
                        "what its switches send that cannot be programmed; missing when all can",
                        b -> b.factory().fixed());
                var presets = t.or(
                        "presets",
                        list(PRESET, MAX_RUNS),
                        List.of(),
                        "programmings that it brings and that can be chosen",
                        b -> b.factory().presets());
                var counter = t.may(
                        "counter",
                        one(COUNTER),
                        "the switches that step through programs; its positions are the banks",
                        b -> b.factory().counter());
                var ofType = t.or(
                        "mostOfType",
                        list(MOST, MessageType.values().length),
                        List.of(),
                        "where a type has places of its own: the most of it in one press",
                        b -> List.copyOf(b.limit().ofType().entrySet()));
                var channel = t.needs(
                        "sendChannel",
                        word(FileWords.byWord(SendChannel.values())),
                        "`one-for-the-box`: a setting of the box; `each-message`: every message has its own",
                        Board::sendChannel);
                var running = t.needs(
                        "runningStatus",
                        RUNNING_STATUS,
                        "whether it leaves out status bytes that repeat",
                        Board::runningStatus);
                var programs = t.needs("programsFrom", PROGRAMS_FROM, "what it calls the first", Board::programs);
                var display = t.needs(
                        "display",
                        word(FileWords.byWord(ValueDisplay.values())),
                        "how it shows numbers; on `two-digits` 127 reads 2.7",
                        Board::display);
                var longestWait = t.or(
                        "longestWaitMillis",
                        whole(0, 60_000),
                        0,
                        "ms, the longest between two messages of one press; missing when it never waits",
                        Board::longestWaitMillis);
                var characters = t.or(
                        "labelCharacters",
                        whole(0, 24),
                        0,
                        "of a name that it shows for each switch; missing when it shows none",
                        Board::labelCharacters);
                return g -> new Board(
                        g.get(switches),
                        g.get(columns),
                        g.get(banks),
                        g.get(changes),
                        g.get(sends),
                        g.at(ofType, () -> new PressLimit(g.get(perPress), limits(g.get(ofType)))),
                        g.get(gestures),
                        g.get(modes),
                        g.at(
                                runs,
                                () -> new FactoryNumbers(
                                        Stream.concat(g.get(run).stream(), g.get(runs).stream())
                                                .toList(),
                                        g.get(presets),
                                        g.get(counter))),
                        g.get(channel),
                        g.get(running),
                        g.get(programs),
                        g.get(display),
                        g.get(longestWait),
                        g.get(characters));
            });

    private BoardLayout() {}

    private static SortedMap<MessageType, Integer> limits(List<Map.Entry<MessageType, Integer>> entries) {
        SortedMap<MessageType, Integer> limits = new TreeMap<>();
        entries.forEach(entry -> limits.put(entry.getKey(), entry.getValue()));
        return limits;
    }
}
