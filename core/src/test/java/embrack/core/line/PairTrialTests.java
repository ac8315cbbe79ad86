package embrack.core.line;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.edit.WiringEdit;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PairTrialTests {

    private static final Sketch TWO = Sketch.of("Two computers")
            .box("Left", "computer")
            .box("Right", "computer")
            .box("Guard", "playback-interface-a-b")
            .app("Player A", "linear-timeline-player", "left")
            .app("Player B", "linear-timeline-player", "right")
            .link("guard.computer-a > left.usb-1", "guard.computer-b > right.usb-1")
            .pair("player-a", "player-b");

    /** MIDI 1.0: at 120 quarters a minute a tick every 20.833 ms; the clock stops for 412 ms and goes on. */
    @ParameterizedTest
    @CsvSource({"412, 412", "0, 0", "90000, 90000"})
    void aPauseIsWhatShouldHaveComeAndDidNot(int millis, int lost) {
        List<Long> ticks = new ArrayList<>();
        for (int i = 0; i < 96; i++) {
            ticks.add(Math.round(i * 20_833.333) + (i >= 50 ? millis * 1_000L : 0));
        }
        Pause pause = Pause.of(ticks).orElseThrow();
        assertThat(pause.usualMicros()).isBetween(20_833L, 20_834L);
        assertThat(pause.lostMicros()).isBetween(lost * 1_000L - 2, lost * 1_000L + 2);
        assertThat(Pause.of(ticks.subList(0, Pause.LEAST - 1))).isEmpty();
    }

    @Test
    void aLeadToTheGuardIsPulledAndNeverOneOfPower() {
        Plan plan = TWO.plan();
        PairTrial trial = PairTrial.of(plan).getFirst();
        assertThat(trial.leads().getFirst().isIn(new DeviceId("guard"))).isTrue();
        assertThat(trial.leads()).extracting(plan.rig()::kind).doesNotContain(LinkKind.POWER);
        PairTried tried = new PairTried(trial.written(), OptionalLong.of(9), new TreeSet<>(), true);
        assertThat(tried.isOf(trial)).isTrue();
        Link lead = trial.leads().getFirst();
        Plan without = new WiringEdit.Disconnect(lead.from(), lead.to()).apply(plan);
        assertThat(tried.isOf(PairTrial.of(without).getFirst()))
                .as("without what guards it")
                .isFalse();
    }
}
