package embrack.core.offer;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.plan.Plan;
import embrack.core.show.Song;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FreedomTests {

    /** What each kind of player can do, by the chart of its model. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "linear-timeline-player;repeat a section, vamp until it is let go, skip ahead, stop with a "
                        + "fade, jump to this song",
                "tablet-track-player;skip ahead, jump to this song",
                "launch-grid-player;skip ahead"
            })
    void whatAPlayerCanDoIsKnownFromItsModel(String model, String can) {
        Sketch sketch = Sketch.of("Small").box("Computer", "computer").box("Tablet", "tablet");
        Plan plan = sketch.app("Player", model, model.startsWith("tablet") ? "tablet" : "computer")
                .song("Ebb", "Verse: 8 bars\n")
                .plan();
        Song song = plan.book().songs().getFirst();
        assertThat(Freedom.of(plan, song).stream()
                        .filter(Freedom::can)
                        .map(freedom -> freedom.kind().words())
                        .collect(Collectors.joining(", ")))
                .isEqualTo(can);
        assertThat(Freedom.of(plan, song)).noneMatch(Freedom::isOnASwitch);
    }

    @Test
    void theSwitchesThatDoItAreTold() {
        Plan plan = Evening.sketch()
                .step("foot-board 8: player jump:song-2", "foot-board 9: player fade-out:tracks")
                .plan();
        Song ebb = plan.book().songs().get(1);
        List<Freedom> freedoms = Freedom.of(plan, ebb);
        assertThat(freedoms.stream().filter(Freedom::isOnASwitch).map(f -> f.kind() + " " + plan.words(f.switches())))
                .containsExactly(
                        "REPEAT Foot board, bank A, switch 3",
                        "FADE Foot board, bank A, switch 9",
                        "JUMP Foot board, bank A, switch 8");
        assertThat(Freedom.of(plan, plan.book().songs().getFirst()).stream().filter(f -> f.kind() == Freedom.Kind.JUMP))
                .allMatch(f -> f.can() && !f.isOnASwitch());
    }
}
