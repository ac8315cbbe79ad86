package embrack.files.model;

import static embrack.files.json.Shapes.as;
import static embrack.files.json.Shapes.one;
import static embrack.files.json.Shapes.texts;
import static embrack.files.json.Shapes.truth;
import static embrack.files.json.Shapes.whole;
import static embrack.files.json.Shapes.wholes;
import static embrack.files.json.Shapes.word;
import static embrack.files.json.Shapes.words;

import embrack.core.gear.BankChange;
import embrack.core.gear.Board;
import embrack.core.gear.FactoryRun;
import embrack.core.gear.Gesture;
import embrack.core.gear.SendChannel;
import embrack.core.gear.SwitchMode;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.ValueDisplay;
import embrack.core.midi.Wire.RunningStatus;
import embrack.files.json.Layout;
import embrack.files.json.Shape;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** The fields of a board: the switches of a box that is pressed, and what they can send. */
final class BoardLayout {

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

    private static final Layout<Object, FactoryRun> FACTORY_RUN =
            Layout.of("factory-run", "What the switches send, where that cannot be programmed.", t -> {
                var type = t.needs("type", word(FileWords.VOICES), "the type of all its messages", FactoryRun::type);
                var numbers = t.needs(
                        "numbers", wholes(0, 127), "one as sent for each switch of a bank", FactoryRun::numbers);
                return g -> g.at(numbers, () -> new FactoryRun(g.get(type), g.get(numbers)));
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
                var run = t.may("factoryRun", one(FACTORY_RUN), "missing when it is programmed", Board::factoryRun);
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
                        g.get(perPress),
                        g.get(gestures),
                        g.get(modes),
                        g.get(run),
                        g.get(channel),
                        g.get(running),
                        g.get(programs),
                        g.get(display),
                        g.get(longestWait),
                        g.get(characters));
            });

    private BoardLayout() {}
}
