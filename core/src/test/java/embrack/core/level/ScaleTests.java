package embrack.core.level;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.Sketch;
import embrack.core.chart.LearnableId;
import embrack.core.edit.NumberEdit;
import embrack.core.gear.ControlType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Target;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Levels in the numbers of the box. */
class ScaleTests {

    /** Linear scales by plain proportion; decibels by the curve of {@link Law#DECIBELS}. */
    @ParameterizedTest
    @CsvSource({
        "0 to 200, 0, 0",
        "0 to 200, 64, 100",
        "0 to 200, 127, 200",
        "0 to 100 %, 64, 50 %",
        "0 to 100 %, 127, 100 %",
        "-50 to 50, 0, −50",
        "-inf to +6 dB, 0, −∞ dB",
        "-inf to +6 dB, 127, 6.0 dB",
        "-inf to +10 dB, 64, −1.9 dB",
        "0 to 10, 127, 10"
    })
    void aValueIsShownAsTheBoxShowsItAndFoundAgain(String scale, int value, String shown) {
        Scale read = Scale.parse(scale);
        assertThat(read.text()).isEqualTo(scale);
        assertThat(read.shown(value)).isEqualTo(shown);
        assertThat(read.shown(read.value(shown))).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource({"0 to 200, 201", "0 to 200, loud", "0 to 200, 50 %", "0 to 100 %, -1", "-inf to +6 dB, 7 dB"})
    void whatTheBoxDoesNotShowIsRefusedWithWhatItShows(String scale, String typed) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Scale.parse(scale).value(typed))
                .withMessage("The box shows %s here; write such a number.", scale);
    }

    @Property
    void whatIsReadOffTheBoxIsSentAndReadTheSame(
            @ForAll @IntRange(min = -500, max = 500) int bottom,
            @ForAll @IntRange(min = 1, max = 1000) int span,
            @ForAll @IntRange(max = 127) int value) {
        Scale scale = new Scale(false, bottom, bottom + span, "");
        String shown = scale.shown(value);
        assertThat(scale.shown(scale.value(shown))).isEqualTo(shown);
        if (span >= 127) {
            assertThat(scale.value(shown)).isEqualTo(value);
        }
    }

    /** A pedal that goes to 100 of 200: typed, kept and printed in the numbers of the box. */
    @Test
    void levelsAndLearnedLevelsAreInTheNumbersOfTheBox() {
        DeviceId loops = new DeviceId("loops");
        Plan plan = Sketch.of("Loops")
                .box("Board", "ten-switch-treadle-board")
                .box("Loops", "loop-table-five-tracks")
                .box("Screens", "projection-server")
                .link("board.out > loops.in")
                .move("board", ControlType.TREADLE, "loops", "track-1", 0, 127)
                .move("board", ControlType.TREADLE, "screens", "layer-1", 0, 127)
                .edit(new NumberEdit.Respond(loops, LearnableId.parse("level:track-1"), false, "0", "100"))
                .plan();
        assertThat(plan.shown(loops, LearnableId.parse("level:track-1"), 64)).isEqualTo("100");
        assertThat(plan.rig()
                        .device(loops)
                        .learned()
                        .get(LearnableId.parse("level:track-1"))
                        .response()
                        .high())
                .isEqualTo(64);
        assertThat(plan.switches().controlAssignments().getFirst().targets())
                .extracting(Target::law)
                .containsExactly(Law.PERCENT, Law.PERCENT);
    }
}
