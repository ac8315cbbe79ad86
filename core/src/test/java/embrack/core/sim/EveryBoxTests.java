package embrack.core.sim;

import static embrack.core.sim.Verdict.ALSO;
import static embrack.core.sim.Verdict.EXACT;
import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.edit.GearEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.BankChange;
import embrack.core.gear.Board;
import embrack.core.gear.Connector;
import embrack.core.gear.Direction;
import embrack.core.gear.FactoryNumbers;
import embrack.core.gear.Gesture;
import embrack.core.gear.Implementation;
import embrack.core.gear.Kind;
import embrack.core.gear.Memory;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.PressLimit;
import embrack.core.gear.Purpose;
import embrack.core.gear.Quirks;
import embrack.core.gear.SendChannel;
import embrack.core.gear.Setting;
import embrack.core.gear.SettingId;
import embrack.core.gear.Sockets;
import embrack.core.gear.Surface;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.library.Library;
import embrack.core.midi.MessageType;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.ValueDisplay;
import embrack.core.midi.Wire.RunningStatus;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Switches;
import embrack.core.world.Happened;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Boxes of every kind behind a board that can send anything. */
class EveryBoxTests {

    private static final DeviceId BOARD = new DeviceId("board");
    private static final DeviceId BOX = new DeviceId("box");
    private static final Port IN =
            new Port(new PortId("in"), new TapeLabel("MIDI IN"), Connector.FIVE_PIN, Direction.IN);
    private static final Port OUT =
            new Port(new PortId("out"), new TapeLabel("MIDI OUT"), Connector.FIVE_PIN, Direction.OUT);

    private static Stream<Model> receivers() {
        return Library.all().stream().filter(model -> !model.chart().rows().isEmpty());
    }

    /** Whatever a shipped chart can do is done by its messages in every state, or stands still without another part. */
    @ParameterizedTest
    @MethodSource("receivers")
    void everythingThatAShippedChartSaysIsProvenExact(Model model) {
        List<Action> actions = model.chart().rows().stream()
                .flatMap(row -> row.actions().stream())
                .distinct()
                .toList();
        List<Proof> proofs = new Prover(plan(model, actions)).all();
        assertThat(proofs)
                .hasSameSizeAs(actions)
                .allSatisfy(proof -> assertThat(proof.seen())
                        .as(proof.compiled().toString())
                        .flatExtracting(seen -> seen.broken().stream().toList())
                        .allMatch(Broken::standsStill));
        assertThat(proofs).allMatch(proof -> proof.trace().stream().noneMatch(Happened.Lost.class::isInstance));
    }

    /** What a box really does against what its chart promises. */
    @ParameterizedTest(name = "{0} on a box that does {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "on Lamp: cc 5 over 63     | on Lamp: cc 5 over 63                                        | EXACT",
                "on Lamp: cc 5 over 63     | toggle Lamp: cc 5                                            | "
                        + "EVERY_OTHER",
                "on Lamp: cc 5 over 63     | on Lamp: cc 6 over 63                                        | DEAD",
                "on Lamp: cc 5 over 63     | on Lamp: cc 5 over 63; on Fan: cc 5 over 100                 | ALSO",
                "on Lamp: cc 5 over 63     | off Lamp: cc 5 over 63                                       | WRONG",
                "recall Look 2: note 5     | recall Look 2: note 5; recall Look 1: note 6                 | EXACT",
                "recall Look 2: note 5     | recall Look 1..2: note 4..5; next Look: note 5               | ALSO",
                "level Main at 9: cc 7     | level Main: cc 7 = 0..127                                    | EXACT",
                "next Song: pc 5           | next Song: pc 5                                              | EXACT",
                "next Song: pc 5           | previous Song: pc 5                                          | WRONG",
                "record Track 1: note 9    | record Track 1: note 9                                       | EXACT",
                "play Tracks: start        | play Tracks: start                                           | EXACT",
                "stop all Tracks: note 1   | play Track 1..2: note 2..3; stop all Tracks: note 1          | EXACT",
            })
    void theVerdictTellsChartAndBoxApart(String chart, String reality, Verdict verdict) {
        String text = "programs from 0\n" + chart.replace(" at 9", "");
        Implementation implementation = new Implementation(
                Chart.of(text), Chart.of("programs from 0\n" + reality.replace("; ", "\n")), Quirks.NONE);
        Action action = chart.startsWith("level")
                ? Action.parse("level:main:9")
                : implementation.chart().actions().getFirst();
        assertThat(new Prover(plan(box(implementation), List.of(action))).all())
                .singleElement()
                .extracting(Proof::verdict)
                .isEqualTo(verdict);
    }

    @Test
    void ofAFamilyOneIsChosenAtATime() {
        Plan plan = plan(
                box(Implementation.of(Chart.of("recall Scene 1..3: note 1..3\nrun Chase 1..2: note 4..5"))),
                actions("recall:scene-1", "recall:scene-3", "run:chase-2"));
        assertThat(chosen(plan, 1)).containsExactly("scene-1");
        assertThat(chosen(plan, 1, 2)).containsExactly("scene-3");
        assertThat(chosen(plan, 1, 3, 2)).containsExactly("chase-2", "scene-3");
    }

    @Test
    void aBankSelectHoldsFromOnePressToTheNext() {
        Chart chart = Chart.of("programs from 0\nselect Patch 0..3: pc 0..3\nselect Patch 100..103: cc 0 = 1 + pc "
                + "0..3\nselect Patch 200..203: cc 0 = 0 + pc 0..3");
        Plan plan =
                plan(box(Implementation.of(chart)), actions("select:patch-2", "select:patch-103", "select:patch-200"));
        assertThat(chosen(plan, 1)).containsExactly("patch-2");
        assertThat(chosen(plan, 2)).containsExactly("patch-103");
        // The bank is still selected, so the plain program change goes into it: the trap of every bank select.
        assertThat(chosen(plan, 2, 1)).containsExactly("patch-102");
        assertThat(chosen(plan, 2, 3)).containsExactly("patch-200");
    }

    @Test
    void aLoopTrackRecordsPlaysAndRecordsOnTop() {
        Plan plan = plan(
                box(Implementation.of(Chart.of("record Track 1..2: note 1..2\nstop all Tracks: note 9"))),
                actions("record:track-1", "record:track-2", "stop-all:tracks"));
        assertThat(words(plan, 1)).contains("track-1 recording");
        assertThat(words(plan, 1, 1)).contains("track-1 playing");
        assertThat(words(plan, 1, 1, 1, 2)).contains("track-1 recording", "track-2 recording");
        assertThat(words(plan, 1, 1, 2, 3)).contains("track-1 stopped", "track-2 stopped");
    }

    @Test
    void aBoxThatHearsAllChannelsIsMovedByItsNeighboursMessages() {
        Implementation pad = Implementation.of(Chart.of("play Piano: note 36"));
        Plan plan = plan(box(Implementation.of(Chart.of("recall Scene 1: note 36"))), actions("recall:scene-1"));
        plan = neighbour(plan, pad);
        assertThat(new Prover(plan).all())
                .singleElement()
                .extracting(Proof::verdict)
                .isEqualTo(EXACT);
        plan = neighbour(
                plan(box(Implementation.of(Chart.of("recall Scene 1: note 36"))), actions("recall:scene-1")),
                pad.with(new Quirks(true, false, false, 0, false)));
        assertThat(new Prover(plan).all())
                .singleElement()
                .extracting(Proof::verdict)
                .isEqualTo(ALSO);
    }

    @Test
    void aChannelOfItsOwnIsHeardWhateverTheBoxIsSetTo() {
        Plan plan = plan(
                box(Implementation.of(Chart.of("load Song 1: pc 1 on channel 16\nplay Song: note 5"
                        .replace("load", "programs from 0\nload")))),
                actions("load:song-1", "play:song"));
        plan = new GearEdit.ChangeSetting(BOX, Purpose.RECEIVE_CHANNEL.id(), "9").apply(plan);
        assertThat(new Prover(plan).all()).extracting(Proof::verdict).containsExactly(EXACT, EXACT);
        assertThat(new Prover(plan)
                        .all()
                        .getFirst()
                        .compiled()
                        .sent()
                        .getFirst()
                        .hex())
                .isEqualTo("CF 01");
        assertThat(new Prover(plan).all().getLast().compiled().sent().getFirst().hex())
                .isEqualTo("98 05 7F");
    }

    private static Plan neighbour(Plan plan, Implementation implementation) {
        Model chained = new Model(
                new ModelId("neighbour"),
                new TapeLabel("Neighbour"),
                Kind.INSTRUMENT_HOST,
                Sockets.of(IN),
                Surface.BLANK,
                channel(),
                implementation,
                Optional.empty());
        Plan more = new GearEdit.AddDevice("Piano", chained).apply(plan);
        more = new GearEdit.ChangeSetting(new DeviceId("piano"), Purpose.RECEIVE_CHANNEL.id(), "3").apply(more);
        return new WiringEdit.Connect(new Socket(BOX, new PortId("thru")), new Socket(new DeviceId("piano"), IN.id()))
                .apply(more);
    }

    private static List<Action> actions(String... keys) {
        return Stream.of(keys).map(Action::parse).toList();
    }

    private static List<String> chosen(Plan plan, int... presses) {
        return words(plan, presses).stream()
                .filter(w -> w.endsWith(" chosen") && !w.endsWith("not chosen"))
                .map(w -> w.split(" ")[0])
                .sorted()
                .toList();
    }

    /** Every part of the box with what can differ about it, after presses of switches of the first bank. */
    private static List<String> words(Plan plan, int... presses) {
        List<SwitchAt> all =
                IntStream.of(presses).mapToObj(n -> new SwitchAt(BOARD, 1, n)).toList();
        World state = Rehearsal.of(plan, World.poweredOn(plan.rig()), all).state();
        Model model = plan.rig().model(BOX);
        return model.parts().stream()
                .flatMap(part -> model.implementation().aspects(part.id()).stream()
                        .map(aspect -> part.id() + " " + state.word(BOX, part.id(), aspect)))
                .toList();
    }

    private static Model box(Implementation implementation) {
        Port thru = new Port(new PortId("thru"), new TapeLabel("MIDI THRU"), Connector.FIVE_PIN, Direction.THRU);
        return new Model(
                new ModelId("box"),
                new TapeLabel("Box"),
                Kind.LIGHT_DESK,
                Sockets.of(IN, thru),
                Surface.BLANK,
                channel(),
                implementation,
                Optional.empty());
    }

    private static Memory channel() {
        return Memory.of(Setting.number(Purpose.RECEIVE_CHANNEL.id(), "MIDI receive channel", 1, 16, 2));
    }

    /** A plan in which each action is on a switch of its own; the box gets a 5-pin input whatever it has. */
    private static Plan plan(Model model, List<Action> actions) {
        boolean plugged = model.ports(Direction.IN).stream().anyMatch(p -> p.id().equals(IN.id()));
        Model reachable = plugged
                ? model
                : new Model(
                        model.id(),
                        model.name(),
                        model.kind(),
                        Sockets.of(IN),
                        model.surface(),
                        model.memory(),
                        model.implementation(),
                        model.power());
        Plan plan = new GearEdit.AddDevice("Board", anything()).apply(Plan.empty(new TapeLabel("Every box")));
        plan = new GearEdit.AddDevice("Box", reachable).apply(plan);
        plan = new WiringEdit.Connect(new Socket(BOARD, OUT.id()), new Socket(BOX, IN.id())).apply(plan);
        if (model.setting(new SettingId("input-for-remote")).isPresent()) {
            plan = new GearEdit.ChangeSetting(BOX, new SettingId("input-for-remote"), "on").apply(plan);
        }
        List<Assignment> assignments = new ArrayList<>();
        for (int i = 0; i < actions.size(); i++) {
            assignments.add(new Assignment(
                    new SwitchAt(BOARD, 1 + i / 32, 1 + i % 32),
                    Optional.empty(),
                    List.of(new Step(BOX, actions.get(i)))));
        }
        return plan.withSwitches(new Switches(assignments));
    }

    private static Model anything() {
        var board = new Board(
                32,
                8,
                IntStream.rangeClosed(1, 128)
                        .mapToObj(i -> new TapeLabel(String.valueOf(i)))
                        .toList(),
                BankChange.ASSIGNMENTS,
                new TreeSet<>(EnumSet.allOf(MessageType.class)),
                PressLimit.of(128),
                new TreeSet<>(EnumSet.of(Gesture.PRESS)),
                new TreeSet<>(EnumSet.of(SwitchMode.ONE_SHOT)),
                FactoryNumbers.NONE,
                SendChannel.EACH_MESSAGE,
                RunningStatus.NOT_USED,
                ProgramCounting.FROM_ONE,
                ValueDisplay.PLAIN,
                0,
                0);
        return new Model(
                new ModelId("anything"),
                new TapeLabel("Sends anything"),
                Kind.FLOOR_BOARD,
                Sockets.of(OUT),
                new Surface(Optional.of(board), List.of()),
                Memory.of(),
                Implementation.NOTHING,
                Optional.empty());
    }
}
