package embrack.core.world;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MappingFaults;
import embrack.core.MuteBoard;
import embrack.core.Sketch;
import embrack.core.WiringFaults;
import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.edit.ControlEdit;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Ability;
import embrack.core.gear.ControlType;
import embrack.core.gear.Implementation;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.library.Library;
import embrack.core.gear.text.BoxReading;
import embrack.core.level.Takeover;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Pair;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WorldTests {

    private static final DeviceId BOARD = new DeviceId("board");
    private static final SwitchAt FIRST = new SwitchAt(BOARD, 1, 1);

    /**
     * Pairs of a thru box and a merger in a ring, each of which doubles what passes it: ten of them would make a
     * thousand copies, twenty a million.
     */
    @ParameterizedTest
    @ValueSource(ints = {1, 5, 20})
    void whatIsWiredInARingCostsItsPiecesAndNoMore(int pairs) {
        Sketch ring = Sketch.of("Ring").box("Board", "four-switch-desk-board").box("First", "merger-2-to-1");
        ring.link("board.out > first.in-1");
        String before = "first";
        for (int i = 1; i <= pairs; i++) {
            ring.box("Thru " + i, "thru-box-1-to-4").box("Join " + i, "merger-2-to-1");
            ring.link(
                    "%s.out > thru-%d.in".formatted(before, i),
                    "thru-%1$d.thru-1 > join-%1$d.in-1".formatted(i),
                    "thru-%1$d.thru-2 > join-%1$d.in-2".formatted(i));
            before = "join-" + i;
        }
        ring.link(before + ".out > first.in-2");
        int pieces = 4 * pairs + 3;
        Engine engine = new Engine(ring.plan());
        Outcome pressed = engine.play(
                World.poweredOn(ring.rig()),
                engine.journey(BOARD, List.of(new Engine.Timed(new Message.NoteOn(new Channel(1), 1, 1), 0))));
        assertThat(pressed.trace()).hasSizeLessThanOrEqualTo(1 + 3 * pieces);
        assertThat(pressed.trace()).anyMatch(Happened.CameRound.class::isInstance);
    }

    /** A ring that the sender is in itself ends as well. */
    @Test
    void whatComesBackToItsSenderEnds() {
        Sketch sketch = Sketch.of("Ring")
                .box("One", "bluetooth-bridge-pair")
                .box("Other", "bluetooth-bridge-pair")
                .set("one", "role", "connects")
                .link("one.bluetooth > other.bluetooth", "other.out > one.in");
        Engine engine = new Engine(sketch.plan());
        Outcome sent = engine.settled(
                World.poweredOn(sketch.rig()),
                new Event.Send(new DeviceId("one"), new Message.NoteOn(new Channel(1), 1, 1)));
        assertThat(sent.trace()).anyMatch(Happened.CameRound.class::isInstance).hasSizeLessThan(20);
        assertThat(sent.after().isAtRest()).isTrue();
    }

    /** A press that turns round leaves a world that looks as it did and is another one. */
    @Test
    void theSideOfAnAlternatingSwitchIsPartOfTheWorld() {
        Sketch sketch = Sketch.on(MuteBoard.plan()).mode("voice-board 1", SwitchMode.ALTERNATING);
        SwitchAt at = new SwitchAt(new DeviceId("voice-board"), 1, 1);
        Engine engine = new Engine(sketch.plan());
        World start = World.poweredOn(sketch.rig());
        World once = engine.tap(start, at).after();
        World twice = engine.tap(once, at).after();
        assertThat(once.isTurned(at)).isTrue();
        assertThat(twice.isTurned(at)).isFalse();
        assertThat(start.turning(at)).isNotEqualTo(start);
        assertThat(start.turning(at).differs(start)).isFalse();
        assertThat(start.turning(at).turning(at)).isEqualTo(start).hasSameHashCodeAs(start);
    }

    /** A bank select that is meant for a box on channel 3 says nothing to one on channel 2 that hears it too. */
    @Test
    void whatCameOnAnotherChannelReadsNoProgram() {
        Sketch sketch =
                sounds("programs from 1\nselect Patch 1..4: pc 1..4\n" + "select Patch 5..8: cc 0 = 1 + pc 1..4");
        Engine engine = new Engine(sketch.plan());
        assertThat(chosen(engine, sketch, 3)).isEqualTo("patch-1");
        assertThat(chosen(engine, sketch, 2)).isEqualTo("patch-5");
    }

    /** A surface that is not in its outside mode sends nothing: no press on it is exact, and the setting mends it. */
    @Test
    void whatIsNotSetToSendSendsNothing() {
        Sketch sketch = Sketch.of("Surface")
                .box("Keys", "keyboard-workstation")
                .box("Mixer", "rack-mixer-24")
                .link("keys.out > mixer.in")
                .step("keys 1: mixer mute:main");
        Report internal = Report.of(sketch.plan());
        assertThat(internal.proofs()).extracting(Proof::verdict).containsExactly(Verdict.NO_WAY);
        Finding finding = internal.findings().stream()
                .filter(f -> f.code().equals("wiring.output-off"))
                .findFirst()
                .orElseThrow();
        Plan mended = finding.remedies().all().findFirst().orElseThrow().edit().apply(sketch.plan());
        assertThat(mended.rig().unmet(new DeviceId("keys"), Ability.SENDS)).isEmpty();
        assertThat(Report.of(mended).proofs()).extracting(Proof::verdict).doesNotContain(Verdict.NO_WAY);
    }

    /** All that a world remembers of hands, faults and time is part of its equality. */
    @Test
    void twoWorldsAreEqualWhenNothingCanTellThemApart() {
        Plan plan = MuteBoard.plan();
        Engine engine = new Engine(plan);
        World rest = World.poweredOn(plan.rig());
        SwitchAt second = new SwitchAt(new DeviceId("voice-board"), 1, 2);
        Link cable = plan.rig().links().getFirst();
        List<Event> events = List.of(
                new Event.Press(second),
                new Event.TurnTo(second.board(), 2),
                new Event.LinkOut(cable),
                new Event.Off(second.board()),
                new Event.Mishap(cable, Event.Fate.LATE),
                new Event.Clock(second.board(), 96));
        for (Event event : events) {
            assertThat(engine.step(rest, event).after()).as("%s", event).isNotEqualTo(rest);
        }
        assertThat(engine.step(rest, new Event.Wait(7)).after()).isEqualTo(rest).hasSameHashCodeAs(rest);
        World back = rest;
        for (Event event : List.of(
                new Event.LinkOut(cable),
                new Event.TurnTo(second.board(), 2),
                new Event.LinkBack(cable),
                new Event.TurnTo(second.board(), 1),
                new Event.Clock(second.board(), 96),
                new Event.Clock(second.board(), 0))) {
            back = engine.step(back, event).after();
        }
        assertThat(back).isEqualTo(rest).hasSameHashCodeAs(rest);
    }

    /** What is on a cable that comes out is lost; what is sent meanwhile too; back in, it works again. */
    @Test
    void messagesAreUnderWayWhileTimeGoesBy() {
        Plan plan = MuteBoard.plan();
        Engine engine = new Engine(plan);
        World rest = World.poweredOn(plan.rig());
        SwitchAt second = new SwitchAt(new DeviceId("voice-board"), 1, 2);
        Link cable = plan.rig().links().getFirst();
        World sent = engine.step(rest, new Event.Press(second)).after();
        assertThat(sent.differs(rest)).as("nothing has arrived").isFalse();
        World first = engine.step(sent, new Event.Wait(960)).after();
        assertThat(first.differences(rest)).extracting(p -> p.part().text()).containsExactly("return-1");
        World out = engine.step(first, new Event.LinkOut(cable)).after();
        Outcome later = engine.step(out, new Event.Wait(1_000_000));
        assertThat(later.trace()).hasOnlyElementsOfType(Happened.Failed.class);
        assertThat(later.after().differences(rest)).hasSize(1);
        World mended = engine.step(later.after(), new Event.LinkBack(cable)).after();
        World pressed = engine.tap(mended, second).after();
        assertThat(pressed.differences(rest)).hasSize(2);
        assertThat(pressed.clockMicros()).isGreaterThan(1_000_960);
    }

    /** Before a hold the board waits, unless its habit is to send the press all the same. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void aHoldHasItsPressBeforeItWhereTheBoardSendsItAllTheSame(boolean also) {
        Sketch sketch = Sketch.of("Holds");
        Model board = Library.find(new ModelId("eight-switch-long-press-board")).orElseThrow();
        Implementation habits = board.implementation();
        sketch.edit(new GearEdit.AddDevice(
                        "Board",
                        also
                                ? board.withImplementation(
                                        habits.with(habits.quirks().withPressWhenHeld()))
                                : board))
                .box("Mixer", "rack-mixer-24")
                .set("mixer", "receive-channel", "2")
                .link("board.out > mixer.in")
                .step("board 1: mixer mute:input-1")
                .then("board 1", Moment.HOLD, "mixer mute:input-2");
        Engine engine = new Engine(sketch.plan());
        World start = World.poweredOn(sketch.rig());
        World down = engine.settled(start, new Event.Press(FIRST)).after();
        assertThat(down.differs(start)).isEqualTo(also);
        World held = engine.settled(down, new Event.Hold(FIRST)).after();
        World up = engine.settled(held, new Event.Release(FIRST)).after();
        assertThat(up.differences(start)).hasSize(also ? 2 : 1);
        assertThat(up.isHeld(FIRST)).isFalse();
        World tapped = engine.tap(start, FIRST).after();
        assertThat(tapped.differences(start)).extracting(p -> p.part().text()).containsExactly("input-1");
        assertThat(Report.of(sketch.plan()).proofs())
                .extracting(Proof::verdict)
                .containsExactly(Verdict.EXACT, also ? Verdict.ALSO : Verdict.EXACT);
    }

    /** A fader that stands elsewhere than the value moves nothing until it passes it. */
    @Test
    void aFaderCatchesTheValueThatAnotherMessageSet() {
        Sketch sketch = MappingFaults.sounds().move("foot-board", ControlType.TREADLE, "piano", "control-1", 0, 127);
        ControlAt treadle = new ControlAt(new DeviceId("foot-board"), ControlType.TREADLE, 1, 1);
        Plan plan = new ControlEdit.ChooseTakeover(treadle, Takeover.CATCH).apply(sketch.plan());
        Engine engine = new Engine(plan);
        Place level = new Place(new DeviceId("piano"), new PartId("control-1"), Aspect.LEVEL);
        World low = engine.settled(World.poweredOn(plan.rig()), new Event.Move(treadle, 20))
                .after();
        assertThat(low.value(level)).isEqualTo(20);
        World set = low.after(level.device(), List.of(new Action(Verb.LEVEL, level.part(), Optional.of(100))));
        World moved = engine.settled(set, new Event.Move(treadle, 60)).after();
        assertThat(moved.value(level)).as("not met").isEqualTo(100);
        assertThat(engine.settled(moved, new Event.Move(treadle, 110)).after().value(level))
                .as("passed")
                .isEqualTo(110);
    }

    /** The first of a pair fails: the second goes on where the interface hears the heartbeat stop, and else nobody. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aPairGoesOverByItselfWhereItsInterfaceIsSetSo(boolean heartbeat) {
        Plan plan = WiringFaults.guarded(heartbeat).plan();
        Pair pair = plan.rig().pairs().getFirst();
        Engine engine = new Engine(plan);
        World start = World.poweredOn(plan.rig());
        World failed =
                engine.step(start, new Event.Off(new DeviceId("computer-a"))).after();
        assertThat(failed.isDark(pair.first())).as("lives in it").isTrue();
        assertThat(failed.isOver(pair)).isEqualTo(heartbeat);
        World byHand = engine.step(failed, new Event.GoOver(pair)).after();
        assertThat(byHand.isOver(pair)).isTrue();
        assertThat(engine.step(byHand, new Event.GoBack(pair)).after().isOver(pair))
                .isFalse();
    }

    /** Clock is a flow: it comes to whatever it is wired to and hears it, and to nothing behind a link that is out. */
    @Test
    void aClockComesToWhatHearsIt() {
        Plan plan = MuteBoard.plan();
        Engine engine = new Engine(plan);
        DeviceId board = new DeviceId("voice-board");
        World ticking = engine.step(World.poweredOn(plan.rig()), new Event.Clock(board, 96))
                .after();
        assertThat(engine.clocks(ticking).get(new DeviceId("vocal-mixer"))).containsExactly(Map.entry(board, 96));
        World cut = engine.step(ticking, new Event.LinkOut(plan.rig().links().getFirst()))
                .after();
        assertThat(engine.clocks(cut)).isEmpty();
        assertThat(engine.clocks(engine.untilQuiet(ticking).after())).isEqualTo(engine.clocks(ticking));
    }

    /** A release of sixteen messages takes sixteen times 960 microseconds, MIDI 1.0, and is told so. */
    @Test
    void aReleaseIsTimedAsAPressIs() {
        Sketch sketch = Sketch.of("Releases")
                .box("Board", "eight-switch-long-press-board")
                .box("Mixer", "rack-mixer-24")
                .set("mixer", "receive-channel", "2")
                .link("board.out > mixer.in")
                .step("board 1: mixer mute:input-1");
        for (int strip = 1; strip <= 16; strip++) {
            sketch.then("board 1", Moment.RELEASE, "mixer open:input-" + strip);
        }
        Proof proof = Report.of(sketch.plan()).proof(FIRST).orElseThrow();
        assertThat(proof.last()).isEqualTo(new Proof.Arrival(Moment.RELEASE, 16 * 960));
    }

    /** A board that is off takes no notice of feet; on again, it begins anew. */
    @Test
    void feetOnADarkBoardDoNothing() {
        Sketch sketch = Sketch.on(MuteBoard.plan()).mode("voice-board 1", SwitchMode.ALTERNATING);
        SwitchAt at = new SwitchAt(new DeviceId("voice-board"), 1, 1);
        Engine engine = new Engine(sketch.plan());
        World once = engine.tap(World.poweredOn(sketch.rig()), at).after();
        World dark = engine.step(once, new Event.Off(at.board())).after();
        assertThat(engine.tap(dark, at).after()).isEqualTo(dark);
        World back = engine.step(dark, new Event.On(at.board())).after();
        assertThat(back.isTurned(at)).isFalse();
        assertThat(engine.tap(back, new SwitchAt(at.board(), 1, 2)).trace()).isNotEmpty();
    }

    /** Of a world with memories and feet in it, so that a run that is replayed elsewhere can be compared. */
    @Test
    void theHashIsTheSameOnEveryMachine() {
        Sketch sketch = sounds("programs from 1\nselect Patch 5..8: cc 0 = 1 + pc 1..4\n"
                + "toggle mute Main: note 1\non Lamp: note 2 + note 3");
        Engine engine = new Engine(sketch.plan());
        World world = World.poweredOn(sketch.rig());
        for (Message message : List.of(
                new Message.ControlChange(new Channel(2), 0, 1),
                new Message.NoteOn(new Channel(2), 1, 100),
                new Message.NoteOn(new Channel(2), 2, 100))) {
            world = engine.settled(world, new Event.Send(BOARD, message)).after();
        }
        world = engine.step(world, new Event.Press(FIRST)).after();
        world = engine.step(world, new Event.LinkOut(sketch.rig().links().getFirst()))
                .after();
        assertThat(world.hashCode()).isEqualTo(-1063863198);
    }

    /** A board before a box on channel 2 with that chart. */
    private static Sketch sounds(String chart) {
        return Sketch.of("Banks")
                .box("Board", "four-switch-desk-board")
                .edit(new GearEdit.AddDevice(
                        "Sounds",
                        BoxReading.of("port MIDI IN: 5-pin in\nsetting MIDI receive channel: 1..16, factory 2")
                                .box()
                                .orElseThrow()
                                .model(
                                        new ModelId("sounds"),
                                        new TapeLabel("Sounds"),
                                        Kind.SOUND_SWITCHER,
                                        Chart.of(chart),
                                        Chart.EMPTY)))
                .link("board.out > sounds.in");
    }

    private static String chosen(Engine engine, Sketch sketch, int bankChannel) {
        World world = World.poweredOn(sketch.rig());
        for (Message message : List.of(
                new Message.ControlChange(new Channel(bankChannel), 0, 1),
                new Message.ProgramChange(new Channel(2), 0))) {
            world = engine.play(world, engine.journey(BOARD, List.of(new Engine.Timed(message, 0))))
                    .after();
        }
        return world.differences(World.poweredOn(sketch.rig())).first().part().text();
    }
}
