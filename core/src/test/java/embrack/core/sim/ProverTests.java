package embrack.core.sim;

import static embrack.core.MuteBoard.BOARD;
import static embrack.core.MuteBoard.IN;
import static embrack.core.MuteBoard.MIXER;
import static embrack.core.MuteBoard.OUT;
import static embrack.core.MuteBoard.SECOND;
import static embrack.core.MuteBoard.add;
import static embrack.core.MuteBoard.at;
import static embrack.core.MuteBoard.receive;
import static embrack.core.MuteBoard.step;
import static embrack.core.sim.Verdict.ALSO;
import static embrack.core.sim.Verdict.DEAD;
import static embrack.core.sim.Verdict.EVERY_OTHER;
import static embrack.core.sim.Verdict.EXACT;
import static embrack.core.sim.Verdict.LATE;
import static embrack.core.sim.Verdict.NO_WAY;
import static embrack.core.sim.Verdict.PART;
import static embrack.core.sim.Verdict.WRONG;
import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Boards;
import embrack.core.Mixers;
import embrack.core.MuteBoard;
import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.edit.GearEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Model;
import embrack.core.gear.library.Library;
import embrack.core.midi.Wire;
import embrack.core.plan.Plan;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Outcome;
import embrack.core.world.World;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class ProverTests {

    private static List<Arguments> plans() {
        return List.of(
                Arguments.of("clean", MuteBoard.plan(), List.of(EXACT, EXACT, EXACT, EXACT)),
                Arguments.of(
                        "a second mixer on its own channel",
                        MuteBoard.withSecondMixer(3),
                        List.of(EXACT, EXACT, EXACT, EXACT)),
                Arguments.of(
                        "wrong receive channel", MuteBoard.with(receive(MIXER, 5)), List.of(DEAD, DEAD, DEAD, DEAD)),
                Arguments.of(
                        "a board that sends program changes only",
                        MuteBoard.with(new GearEdit.SwapHardware(BOARD, Library.FOUR_SWITCH_PROGRAM_BOARD)),
                        List.of(NO_WAY, NO_WAY, NO_WAY, NO_WAY)),
                Arguments.of(
                        "two messages a press",
                        MuteBoard.with(new GearEdit.SwapHardware(BOARD, Library.FOUR_SWITCH_DESK_BOARD)),
                        List.of(NO_WAY, EXACT, EXACT, EXACT)),
                Arguments.of(
                        "mute and open swapped in the chart",
                        MuteBoard.withMixer(Mixers.swappedChart()),
                        List.of(WRONG, WRONG, WRONG, WRONG)),
                Arguments.of(
                        "cable missing",
                        MuteBoard.with(new WiringEdit.Disconnect(OUT, IN)),
                        List.of(NO_WAY, NO_WAY, NO_WAY, NO_WAY)),
                Arguments.of(
                        "a mixer that cannot open",
                        MuteBoard.withMixer(Mixers.muteOnly()),
                        List.of(NO_WAY, EXACT, EXACT, EXACT)),
                Arguments.of(
                        "the channel shared by a second mixer",
                        MuteBoard.withSecondMixer(2),
                        List.of(ALSO, ALSO, ALSO, ALSO)),
                Arguments.of(
                        "a mixer that toggles",
                        MuteBoard.withMixer(Mixers.toggling()),
                        List.of(EVERY_OTHER, EVERY_OTHER, EVERY_OTHER, EVERY_OTHER)),
                Arguments.of(
                        "a mixer deaf beyond its inputs",
                        MuteBoard.withMixer(Mixers.deafBeyondInputs()),
                        List.of(PART, DEAD, EXACT, DEAD)),
                Arguments.of(
                        "two mixers meant to differ on one channel",
                        MuteBoard.withSecondMixer(2, new SwitchEdit.AddStep(at(3), step(SECOND, "open:input-1"))),
                        List.of(ALSO, ALSO, WRONG, ALSO)));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("plans")
    void theVerdictSaysWhatThreePressesShow(String name, Plan plan, List<Verdict> verdicts) {
        assertThat(new Prover(plan).all()).extracting(Proof::verdict).isEqualTo(verdicts);
    }

    /** Source: 320 microseconds a byte, MIDI 1.0; four control changes are 12 bytes. */
    @Test
    void timeIsThatOfTheBytesOnTheCable() {
        Proof proof = new Prover(MuteBoard.plan()).all().getFirst();
        assertThat(proof.trace())
                .filteredOn(Happened.Sent.class::isInstance)
                .extracting(Happened::atMicros)
                .containsExactly(0L, 960L, 1920L, 2880L);
        assertThat(proof.trace())
                .filteredOn(Happened.Arrived.class::isInstance)
                .extracting(Happened::atMicros)
                .containsExactly(960L, 1920L, 2880L, 3840L);
        assertThat(Wire.millis(proof.worstMicros())).isEqualTo("3.840 ms");
    }

    @Test
    void aPressIsLateWhenItsLastMessageIsLaterThanTheLimit() {
        Plan plan = MuteBoard.plan();
        Model patient = Boards.withMessagesPerPress(128);
        plan = plan.withRig(plan.rig().withModelReplaced(patient));
        for (int i = 0; i < 31; i++) {
            plan = add(4, "mute:main").apply(plan);
        }
        assertThat(new Prover(plan).all().getLast().worstMicros()).isEqualTo(32 * 960);
        assertThat(new Prover(plan).all()).extracting(Proof::verdict).containsExactly(EXACT, EXACT, EXACT, LATE);
    }

    @Test
    void pressingMovesTheStripsAndTheTraceTellsOfLostMessages() {
        Plan plan = MuteBoard.plan();
        World start = World.poweredOn(plan.rig());
        Outcome pressed = new Engine(plan).settled(start, new Event.Press(at(2)));
        assertThat(pressed.after().word(MIXER, new PartId("return-1"), Aspect.MUTED))
                .isEqualTo("muted");
        assertThat(start.differences(pressed.after()))
                .extracting(p -> p.part().text())
                .containsExactly("return-1", "return-2");
        assertThat(pressed.trace().getFirst().atMicros()).isZero();
        Outcome unplugged =
                new Engine(MuteBoard.with(new WiringEdit.Disconnect(OUT, IN))).settled(start, new Event.Press(at(2)));
        assertThat(unplugged.trace())
                .hasSize(4)
                .filteredOn(Happened.Lost.class::isInstance)
                .hasSize(2);
        assertThat(unplugged.after().differs(start)).isFalse();
        assertThat(unplugged.after().isHeld(at(2))).isTrue();
    }
}
