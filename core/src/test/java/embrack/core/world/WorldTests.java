package embrack.core.world;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MuteBoard;
import embrack.core.Sketch;
import embrack.core.chart.Chart;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Ability;
import embrack.core.gear.Kind;
import embrack.core.gear.ModelId;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.text.BoxReading;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.SwitchAt;
import java.util.List;
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
        Sketch sketch = Sketch.of("Banks").box("Board", "four-switch-desk-board");
        sketch.edit(new GearEdit.AddDevice(
                "Sounds",
                BoxReading.of("port MIDI IN: 5-pin in\nsetting MIDI receive channel: 1..16, factory 2")
                        .box()
                        .orElseThrow()
                        .model(
                                new ModelId("sounds"),
                                new TapeLabel("Sounds"),
                                Kind.SOUND_SWITCHER,
                                Chart.of("programs from 1\nselect Patch 1..4: pc 1..4\n"
                                        + "select Patch 5..8: cc 0 = 1 + pc 1..4"),
                                Chart.EMPTY)));
        sketch.link("board.out > sounds.in");
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
        Plan mended = finding.remedy().orElseThrow().edit().apply(sketch.plan());
        assertThat(mended.rig().unmet(new DeviceId("keys"), Ability.SENDS)).isEmpty();
        assertThat(Report.of(mended).proofs()).extracting(Proof::verdict).doesNotContain(Verdict.NO_WAY);
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
