package embrack.app.switches;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.edit.GearEdit;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlayedTests {

    private static final Plan PLAN = new GearEdit.AddDevice("B", Library.FOUR_SWITCH_DESK_BOARD)
            .apply(new GearEdit.AddDevice("A", Library.FOUR_SWITCH_FLOOR_BOARD)
                    .apply(Plan.empty(new TapeLabel("Two boards"))));

    @ParameterizedTest
    @CsvSource({
        "'', '', ''",
        "'', 0.1.3, 0.1.3",
        "0.1.3_1.4.4, 0.1.1, 0.1.3_1.4.4_0.1.1",
        "muted, 0.1.1, muted_0.1.1",
        "muted_0.1.1, '', muted_0.1.1",
        "0.1.5_0.5.1_2.1.1_0.0.1_0.1.0, '', ''",
        "<script>_-1.1.1_0.1.1.1_999.999.999_9999.1.1, 0.2.2, 0.2.2",
    })
    void linksKeepThePressesThatABoardStillHas(String played, String press, String kept) {
        assertThat(Played.parse(PLAN, played, press).text(PLAN)).isEqualTo(kept);
    }

    @Test
    void aFullTapeTakesNoMore() {
        String full = "0.1.1_".repeat(Played.MOST + 50);
        Played played = Played.parse(PLAN, full, "0.1.2");
        assertThat(played.presses()).hasSize(Played.MOST);
        assertThat(played.isFull()).isTrue();
        assertThat(played.text(PLAN).length()).as("fits into a link").isLessThan(4_000);
    }
}
