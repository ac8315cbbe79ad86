package embrack.core.sim;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MappingFaults;
import embrack.core.Sketch;
import embrack.core.StoryRig;
import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.check.Report;
import embrack.core.check.rule.Remedy;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.compile.Obstacle;
import embrack.core.edit.ControlEdit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.ControlType;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.text.BoxReading;
import embrack.core.level.Curve;
import embrack.core.level.Law;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.proof.Doing;
import embrack.core.rig.DeviceId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Target;
import embrack.core.world.Happened;
import embrack.core.world.World;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What feet do with a switch beside pressing it, and treadles and faders. */
class GestureTests {

    private static final SwitchAt SIX = Sketch.at("foot-board 6");

    @Test
    void aMomentarySwitchThatOpensWhatItMutedIsExact() {
        Plan plan = MappingFaults.floor()
                .step("foot-board 6: vocal-mixer mute:input-2")
                .then("foot-board 6", Moment.RELEASE, "vocal-mixer open:input-2")
                .mode("foot-board 6", SwitchMode.MOMENTARY)
                .plan();
        Proof proof = Report.of(plan).proof(SIX).orElseThrow();
        assertThat(proof.verdict()).isEqualTo(Verdict.EXACT);
        assertThat(proof.messages()).isEqualTo(2);
    }

    @Test
    void anAlternatingSwitchDoesOneThingThenTheOther() {
        Plan plan = MappingFaults.floor()
                .step("foot-board 6: vocal-mixer mute:input-2")
                .then("foot-board 6", Moment.AGAIN, "vocal-mixer open:input-2")
                .plan();
        CompiledSwitch compiled = new Compiler(plan).compile(plan.switches().at(SIX));
        assertThat(compiled.mode())
                .as("chosen since there are steps for the second press")
                .isEqualTo(SwitchMode.ALTERNATING);
        assertThat(compiled.sent(Moment.AGAIN)).extracting(m -> m.hex()).containsExactly("B1 29 00");
        Proof proof = Report.of(plan).proof(SIX).orElseThrow();
        assertThat(proof.verdict()).isEqualTo(Verdict.EXACT);
        assertThat(Rehearsal.of(plan, World.poweredOn(plan.rig()), List.of(SIX, SIX))
                        .state())
                .isEqualTo(World.poweredOn(plan.rig()));
    }

    /**
     * A stop that acts at values over 63, on a board whose switches only alternate: the second press sends 0 and stops
     * nothing that plays by then. Where the box has learned the stop, its input can take both values alike.
     */
    @ParameterizedTest
    @CsvSource({"stop all Tracks: cc 80 over 63, use-hardware", "stop all Tracks: learns cc, low-value"})
    void aKillSwitchOnABoardThatOnlyAlternatesFailsAtItsSecondPress(String stop, String wayOut) {
        Sketch sketch = Sketch.of("Kill");
        sketch.edit(new GearEdit.AddDevice("Board", box("board", Kind.FLOOR_BOARD, """
                        port MIDI OUT: 5-pin out
                        switches: 2 in rows of 2, send cc, 1 a press
                        modes: alternating
                        """, "")))
                .edit(new GearEdit.AddDevice(
                        "Looper", box("looper", Kind.LOOPER, """
                        port MIDI IN: 5-pin in
                        setting MIDI receive channel: 1..16, factory 2
                        """, "play Track 1: cc 81 over 63\n" + stop)))
                .link("board.out > looper.in")
                .step("board 1: looper stop-all:tracks");
        Report report = Report.of(sketch.plan());
        SwitchAt kill = Sketch.at("board 1");
        Proof proof = report.proof(kill).orElseThrow();
        assertThat(proof.verdict()).isEqualTo(Verdict.EVERY_OTHER);
        assertThat(proof.broken().orElseThrow().doings())
                .filteredOn(Doing.Foot.class::isInstance)
                .as("two presses")
                .hasSize(2);
        Remedy remedy = report.healing().best(report.findings(kill).getFirst()).orElseThrow();
        assertThat(remedy.name()).isEqualTo(wayOut);
        assertThat(Report.of(remedy.edit().apply(sketch.plan()))
                        .proof(kill)
                        .orElseThrow()
                        .verdict())
                .isEqualTo(Verdict.EXACT);
    }

    private static Model box(String id, Kind kind, String text, String chart) {
        return BoxReading.of(text)
                .box()
                .orElseThrow()
                .model(new ModelId(id), new TapeLabel(id), kind, Chart.of(chart), Chart.EMPTY);
    }

    @Test
    void twoMessagesCannotBeTwoValuesOfOne() {
        Plan plan = MappingFaults.floor()
                .step("foot-board 6: vocal-mixer mute:input-2")
                .then("foot-board 6", Moment.AGAIN, "vocal-mixer open:input-3")
                .plan();
        assertThat(new Compiler(plan)
                        .compile(plan.switches().at(SIX))
                        .steps(Moment.AGAIN)
                        .getFirst()
                        .obstacle())
                .contains(new Obstacle.TwoMessages());
    }

    @Test
    void everyGestureHasAProofOfItsOwn() {
        Plan plan = MappingFaults.floor()
                .step("foot-board 6: vocal-mixer mute:input-2")
                .then("foot-board 6", Moment.HOLD, "vocal-mixer open:input-2")
                .plan();
        assertThat(Report.of(plan).proofs(SIX)).extracting(Proof::moment).containsExactly(Moment.PRESS, Moment.HOLD);
        Plan twice = Sketch.on(plan)
                .then("foot-board 6", Moment.DOUBLE_PRESS, "vocal-mixer mute:main")
                .plan();
        Report report = Report.of(twice);
        assertThat(report.proofs(SIX))
                .extracting(Proof::verdict)
                .as("the board knows no double press, and a press waits for it")
                .containsExactly(Verdict.LATE, Verdict.EXACT, Verdict.NO_WAY);
        assertThat(report.proof(SIX).orElseThrow().moment())
                .as("the worst stands for the switch")
                .isEqualTo(Moment.DOUBLE_PRESS);
    }

    @Test
    void aWaitIsOnTheClockAndNotLate() {
        Plan plan = MappingFaults.floor()
                .step("foot-board 6: vocal-mixer mute:input-2", "foot-board 6: vocal-mixer mute:input-3")
                .plan();
        plan = new SwitchEdit.WaitBefore(SIX, Moment.PRESS, 1, Sketch.stepOf("vocal-mixer mute:input-3"), "1500")
                .apply(plan);
        Proof proof = Report.of(plan).proof(SIX).orElseThrow();
        assertThat(proof.verdict()).isEqualTo(Verdict.EXACT);
        assertThat(proof.worstMicros()).isEqualTo(1_500_000 + 2 * 960);
    }

    @Test
    void whatPressesByThemselvesSendIsReleasedInTheRehearsal() {
        Plan plan =
                MappingFaults.floor().mode("foot-board 1", SwitchMode.MOMENTARY).plan();
        Rehearsal rehearsal = Rehearsal.of(plan, World.poweredOn(plan.rig()), List.of(Sketch.at("foot-board 1")));
        assertThat(rehearsal.last().getFirst().outcome().trace())
                .filteredOn(e -> e instanceof Happened.Arrived)
                .extracting(Happened::atMicros)
                .containsExactly(960L, 150_960L);
        assertThat(rehearsal.state()).isEqualTo(rehearsal.start());
    }

    /**
     * The treadle moves the level from heel to toe and back, capped at 0 dB where the top is +6: never above for all
     * 128 positions.
     */
    @Test
    void aTreadleIsProvenFromHeelToToeAndNeverPassesItsCap() {
        Sketch sketch = MappingFaults.sounds().move("foot-board", ControlType.TREADLE, "piano", "control-1", 0, 127);
        ControlAt at = new ControlAt(new DeviceId("foot-board"), ControlType.TREADLE, 1, 1);
        Plan plan = new ControlEdit.Shape(
                        at,
                        new DeviceId("piano"),
                        new PartId("control-1"),
                        "0",
                        "127",
                        Curve.SLOW,
                        Law.DECIBELS,
                        "6",
                        "0")
                .apply(sketch.plan());
        ControlProof proof = Report.of(plan).proof(at).orElseThrow();
        assertThat(proof.verdict()).isEqualTo(Verdict.EXACT);
        assertThat(proof.compiled().targets().getFirst().at())
                .hasSize(128)
                .allMatch(m -> m.data2() <= 89)
                .last()
                .extracting(m -> m.hex())
                .isEqualTo("B4 14 59");
        assertThat(proof.trials().getFirst().presses())
                .extracting(Press::number)
                .containsExactly(0, 32, 64, 96, 127, 64, 0);
    }

    /** A knob whose text says "2 messages each" moves two levels; a fader of which nothing is said moves one. */
    @ParameterizedTest
    @CsvSource({"KNOB, B1 07 40; B1 14 40", "FADER, B1 07 40"})
    void aControlSendsAsManyNumbersAsItsModelSays(ControlType type, String sent) {
        var at = new ControlAt(new DeviceId("board"), type, 1, 1);
        Plan plan = StoryRig.of(StoryRig.chart("TAUGHT"), "1: on:lamp-1", "");
        for (String part : List.of("main", "aux")) {
            plan = new ControlEdit.AddTarget(at, new Target(new DeviceId("box"), new PartId(part))).apply(plan);
        }
        assertThat(Report.of(plan).proof(at).orElseThrow().compiled().sendings(64))
                .extracting(s -> s.message().hex())
                .containsExactly(sent.split("; "));
    }
}
