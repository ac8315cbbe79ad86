package embrack.core.offer;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import org.junit.jupiter.api.Test;

/** What is missing next, from an empty rig to the first switch that does something. */
class MissingTests {

    @Test
    void eachStepAsksForTheNextUntilSomethingCanBeProven() {
        Sketch sketch = Sketch.of("First steps");
        assertThat(step(sketch)).isEqualTo("ADD_SENDER");
        sketch.box("Mixer", "stage-mixer-12");
        assertThat(step(sketch)).isEqualTo("ADD_SENDER");
        sketch.box("Board", "four-switch-floor-board");
        assertThat(step(sketch)).isEqualTo("JOIN");
        sketch.link("board.out > mixer.in");
        assertThat(step(sketch)).isEqualTo("SAY");
        sketch.step("board 1: mixer toggle-mute:input-1");
        assertThat(step(sketch)).isEqualTo("nothing");
        assertThat(step(Sketch.of("Alone").box("Board", "four-switch-floor-board")))
                .isEqualTo("ADD_RECEIVER");
    }

    private static String step(Sketch sketch) {
        return Missing.of(sketch.plan()).map(missing -> missing.step().name()).orElse("nothing");
    }
}
