package embrack.core.check;

import static embrack.core.MuteBoard.MIXER;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import embrack.core.Mixers;
import embrack.core.MuteBoard;
import embrack.core.chart.Chart;
import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.gear.Implementation;
import embrack.core.gear.Memory;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Sockets;
import embrack.core.gear.Surface;
import embrack.core.gear.library.Library;
import embrack.core.plan.Plan;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ImpactTests {

    private static final Plan PLAN = MuteBoard.plan();

    @Test
    void otherNumbersMeanProgrammingAnew() {
        Model renumbered = withChart(Library.RACK_MIXER.chart().text().replace("40..55", "20..35"));
        Impact impact = Impact.of(PLAN, new GearEdit.ReplaceModel(renumbered).apply(PLAN));
        assertThat(PLAN.words(impact.reprogram())).isEqualTo("Voice board, bank A, switches 1 and 3");
        assertThat(impact.lost()).isEmpty();
        assertThat(impact.arising()).isEmpty();
    }

    @Test
    void whatIsTakenAwayIsToldAndFound() {
        Model smaller = withChart("mute Input 1..2: cc 40..41 over 63\nopen Input 1..2: cc 40..41 under 64");
        Plan after = new GearEdit.ReplaceModel(smaller).apply(PLAN);
        Impact impact = Impact.of(PLAN, after);
        assertThat(impact.lost())
                .containsExactly(
                        "The tape \"Vocal reverb return\" of Vocal mixer comes off.",
                        "The tape \"Vocal delay return\" of Vocal mixer comes off.");
        assertThat(impact.arising()).extracting(f -> f.code()).containsExactly("switches.no-chart-line");
        assertThat(Impact.of(after, PLAN).settled())
                .extracting(f -> f.code())
                .containsExactly("switches.no-chart-line");
        assertThat(Impact.of(PLAN, PLAN).isNone()).isTrue();
    }

    @Test
    void socketsAndSettingsThatGoTakeTheirCablesAndValuesAlong() {
        Model m = Library.RACK_MIXER;
        Model bare = new Model(
                m.id(),
                m.name(),
                m.kind(),
                Sockets.of(),
                Surface.BLANK,
                Memory.of(),
                Implementation.NOTHING,
                Optional.empty());
        Impact impact = Impact.of(PLAN, new GearEdit.ReplaceModel(bare).apply(PLAN));
        assertThat(impact.lost())
                .contains(
                        "The cable from Voice board MIDI OUT to Vocal mixer MIDI IN is pulled.",
                        "MIDI receive channel of Vocal mixer is set back to the factory's.");
    }

    @Test
    void aSmallerBoardCannotTakeOverWhatIsOnItsMissingSwitches() {
        Model board = Library.FOUR_SWITCH_FLOOR_BOARD;
        Model two = board.withSurface(
                Library.find(new ModelId("two-switch-foot-box")).orElseThrow().surface());
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> new GearEdit.ReplaceModel(two).apply(PLAN))
                .withMessage("Voice board has 2 switches in a bank, so there is no switch 3");
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> new GearEdit.ReplaceModel(Library.FOUR_SWITCH_DESK_BOARD).apply(PLAN))
                .withMessage("No box in the rig uses that model any more.");
    }

    @Test
    void correctingAChartSettlesItsFinding() {
        Plan swapped = MuteBoard.withMixer(Mixers.swappedChart());
        Impact impact = Impact.of(swapped, new GearEdit.ReplaceModel(Library.RACK_MIXER).apply(swapped));
        assertThat(impact.settled()).extracting(f -> f.code()).contains("gear.chart-contradicts-box");
        assertThat(impact.reprogram()).hasSize(4);
        assertThat(swapped.rig().model(MIXER)).isNotEqualTo(Library.RACK_MIXER);
    }

    private static Model withChart(String chart) {
        return Library.RACK_MIXER.withImplementation(Implementation.of(Chart.of(chart)));
    }
}
