package embrack.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.check.Report;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** The score of feet that press as a script says, worked out by hand. */
class ScoreTests {

    private static final DeviceId BOARD = new DeviceId("foot-board");
    private static final SwitchAt MUTE = new SwitchAt(BOARD, 1, 5);
    private static final SwitchAt BESIDE = new SwitchAt(BOARD, 1, 4);
    private static final SwitchAt FAR = new SwitchAt(BOARD, 1, 9);
    private static final int EBB = 3;

    /** "Ebb" goes at 120 in 4/4, so bar 8 begins 14 s after bar 1, and bar 9, where 5 mutes, two seconds later. */
    private static final long TWO_SECONDS = 2_000_000;

    private static final Plan PLAN = Evening.sketch()
            .step("foot-board 5: vocal-mixer mute:input-1", "foot-board 9: guitar-sounds select:patch-2")
            .foot("ebb", "9|1", "foot-board 5")
            .plan();

    /** A press so many milliseconds after bar 9 begins. */
    private record Pressed(SwitchAt at, int millis) {}

    static Stream<Arguments> scripts() {
        return Stream.of(
                Arguments.of(List.of(new Pressed(MUTE, 0)), Score.Grade.RIGHT, 0, 0, 0, 0),
                Arguments.of(List.of(new Pressed(MUTE, 300)), Score.Grade.RIGHT, 300, 0, 0, 0),
                Arguments.of(List.of(new Pressed(MUTE, 305)), Score.Grade.LATE, 305, 0, 0, 1),
                Arguments.of(List.of(new Pressed(MUTE, -300)), Score.Grade.RIGHT, -300, 0, 0, 0),
                Arguments.of(List.of(new Pressed(MUTE, -900)), Score.Grade.EARLY, -900, 0, 0, 1),
                Arguments.of(List.of(), Score.Grade.MISSED, 0, 0, 0, 1),
                // The neighbour first, then the right one: late, and one wrong.
                Arguments.of(List.of(new Pressed(BESIDE, 50), new Pressed(MUTE, 700)), Score.Grade.LATE, 700, 1, 1, 1),
                // The right one early, then its neighbour before it was due: nothing waited for that.
                Arguments.of(
                        List.of(new Pressed(MUTE, -250), new Pressed(BESIDE, -50)), Score.Grade.RIGHT, -250, 1, 0, 0),
                // Another, far from it, and never the right one.
                Arguments.of(List.of(new Pressed(FAR, 100)), Score.Grade.MISSED, 0, 1, 0, 1),
                // Pressed when nothing waited: wrong, but of no press.
                Arguments.of(List.of(new Pressed(MUTE, 10), new Pressed(FAR, 6_000)), Score.Grade.RIGHT, 10, 1, 0, 0));
    }

    @ParameterizedTest
    @MethodSource("scripts")
    void feetAreScoredByTheBar(
            List<Pressed> script, Score.Grade grade, int millis, int wrong, int byNeighbour, int hard) {
        Run run = Run.at(Night.of(Report.of(PLAN)), EBB, 8, false);
        long due = run.now() + TWO_SECONDS;
        for (Pressed pressed : script) {
            run = run.until(due + pressed.millis() * 1_000L)
                    .after(new Act.ByHand(new Event.Press(pressed.at())))
                    .after(new Act.ByHand(new Event.Release(pressed.at())));
        }
        Score score = Score.of(run.until(due + 10_000_000));
        assertThat(score.presses()).singleElement().satisfies(scored -> {
            assertThat(scored.sort()).isEqualTo(Score.Sort.MUTE);
            assertThat(scored.grade()).isEqualTo(grade);
            assertThat(scored.byMicros()).isBetween(millis * 1_000L - 2, millis * 1_000L + 2);
            assertThat(scored.isByNeighbour()).isEqualTo(byNeighbour > 0);
        });
        assertThat(score.wrong()).isEqualTo(wrong);
        assertThat(score.count(grade)).isOne();
        assertThat(score.hardest(3)).isEqualTo(hard == 0 ? List.of() : List.of(MUTE));
    }
}
