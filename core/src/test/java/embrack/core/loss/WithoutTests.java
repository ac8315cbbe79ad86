package embrack.core.loss;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.edit.OrderEdit;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.show.Calls;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** An evening to which some boxes do not come. */
class WithoutTests {

    private static Without without(Sketch sketch, String... gone) {
        Plan plan = sketch.plan();
        List<String> here = plan.rig().devices().stream()
                .map(Device::id)
                .map(Object::toString)
                .filter(id -> !List.of(gone).contains(id))
                .toList();
        Plan made = new OrderEdit.BringGear(Evening.SHOW, here).apply(plan);
        return Without.of(made, made.book().find(Evening.SHOW).orElseThrow());
    }

    /** Three songs send two messages each on load; Lanterns has three cues with four steps, Ebb three with three. */
    @ParameterizedTest
    @CsvSource({
        "'', '', 0, 0",
        "lantern-desk, '', 1, 7",
        "guitar-sounds, '', 0, 6",
        "computer, foot-board player cue-interface, 0, 9",
        "player, '', 1, 9",
        "thru-box, '', 1, 9",
        "cue-interface, '', 0, 9",
        "merger, '', 1, 9",
        "old-desk, '', 0, 0",
        "foot-board, '', 0, 0"
    })
    void whatIsLostWithABox(String gone, String along, int switches, int cues) {
        Without without = without(Evening.sketch(), gone);
        assertThat(without.along())
                .extracting(Object::toString)
                .containsExactly(along.isEmpty() ? new String[0] : along.split(" "));
        assertThat(without.lacks()).hasSize(switches);
        assertThat(without.unsent()).hasSize(cues);
    }

    @Test
    void aFootTakesOverWhereASwitchDoesTheSame() {
        Without without = without(Evening.sketch().step("foot-board 5: lantern-desk recall:scene-3"), "player");
        assertThat(without.unsent())
                .extracting(
                        cue -> cue.song().title().text(), cue -> cue.instead().size())
                .contains(tuple("Ebb", 1), tuple("Ebb", 0));
        assertThat(without.isNothing()).isFalse();
    }

    @Test
    void theSecondOfAPairStandsIn() {
        Sketch pair = Evening.sketch()
                .app("Player B", "linear-timeline-player", "computer")
                .set("player-b", "input-for-remote", "on")
                .link("player-b.out > computer.usb-2", "computer.usb-1 > player-b.in");
        assertThat(without(pair, "player").unsent()).hasSize(9);
        assertThat(without(pair.pair("player", "player-b"), "player").isNothing())
                .isTrue();
    }

    @Test
    void whatNobodyCanPressIsCounted() {
        Sketch sketch = Evening.sketch()
                .box("Side board", "four-switch-floor-board")
                .step("side-board 1: lantern-desk recall:scene-5")
                .foot("ebb", "3|1", "side-board 1")
                .edit(new OrderEdit.CallPart(
                        Evening.SHOW,
                        5,
                        Optional.of(Sketch.at("side-board 1")),
                        Calls.Ending.ITSELF,
                        Optional.empty()));
        assertThat(without(sketch, "side-board").unpressed()).singleElement().satisfies(press -> {
            assertThat(press.times()).isEqualTo(2);
            assertThat(press.instead()).containsExactly(Sketch.at("foot-board 4"));
        });
    }
}
