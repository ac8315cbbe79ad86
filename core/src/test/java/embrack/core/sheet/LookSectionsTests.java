package embrack.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.LightFaults;
import embrack.core.Sketch;
import embrack.core.check.Report;
import embrack.core.edit.LookEdit;
import embrack.core.light.LookId;
import embrack.core.plan.Plan;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How the scenes of a desk are programmed. */
class LookSectionsTests {

    private static final Plan PLAN = Sketch.on(LightFaults.lit().plan())
            .edit(new LookEdit.ChangeLook(new LookId("look-2"), "Look 2", "all: blue 100 %\nfade: 2.5 s"))
            .edit(new LookEdit.ChangeLook(new LookId("look-3"), "Look 3", "all: warm 40 %\nPar 4: dark"))
            .edit(new LookEdit.ChangeLook(new LookId("look-5"), "Look 5", "all: blue 100 %\nPar 4: dark"))
            .plan();

    private static List<Section> scenes() {
        return Sheets.of(Report.of(PLAN)).stream()
                .filter(sheet -> sheet.title().equals("Lantern desk"))
                .flatMap(sheet -> sheet.sections().stream())
                .filter(section -> section.heading().startsWith("Scene "))
                .toList();
    }

    /** Alike ones follow one another, then those for which little moves, those farthest away last. */
    @Test
    void theFewestFadersMoveFromOneToTheNext() {
        assertThat(scenes())
                .extracting(section -> section.heading().replaceAll(":.*", ""))
                .containsExactly("Scene 1", "Scene 4", "Scene 6", "Scene 3", "Scene 5", "Scene 2");
        assertThat(scenes())
                .extracting(Section::heading)
                .contains(
                        "Scene 4: Look 4 (all: warm 40 %), from Scene 1 on no fader moves",
                        "Scene 3: Look 3 (all: warm 40 %; Par 4: dark), from Scene 6 on 4 faders move");
    }

    @Test
    void whatComesInSlowlyIsSetSo() {
        assertThat(scenes().getLast().lines())
                .extracting(Section.Line::words)
                .containsSubsequence("Fade: it comes in over 2.5 s.", "Store it as Scene 2.");
    }
}
