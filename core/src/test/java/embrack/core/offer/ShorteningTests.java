package embrack.core.offer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Sketch;
import embrack.core.edit.OrderEdit;
import embrack.core.plan.Plan;
import embrack.core.show.Item;
import embrack.core.show.Running;
import embrack.core.show.ShowId;
import embrack.core.show.Transition;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A show that is too long, made to fit by what disturbs least. */
class ShorteningTests {

    private static final ShowId TONIGHT = new ShowId("tonight");

    private static final String WITH_A_VAMP = """
            tempo 120
            Verse: 40 bars
            Vamp: 10 bars, vamp 4 times
            Refrain: 20 bars
            Out: 15 bars
            """;

    private static Sketch songs() {
        return Sketch.of("Long evening")
                .song("One", "tempo 120\nVerse: 60 bars\n")
                .song("Two", "tempo 120\nVerse: 90 bars\n")
                .song("Three", "tempo 120\nVerse: 75 bars\n")
                .song("Four", "tempo 120\nVerse: 60 bars\n")
                .edit(new OrderEdit.AddShow("Tonight"));
    }

    private static List<List<Shortening>> tonight(String slot, String talk) {
        Sketch sketch = songs();
        for (String song : List.of("one", "two", "three", "four")) {
            sketch.edit(new OrderEdit.AddSongTo(TONIGHT, song));
        }
        return ways(sketch.edit(new OrderEdit.AddPart(TONIGHT, Item.TALK, "Tale", talk)), slot);
    }

    private static List<List<Shortening>> ways(Sketch sketch, String slot) {
        Plan made = sketch.edit(new OrderEdit.DescribeShow(TONIGHT, "Tonight", "", "19:30", slot))
                .plan();
        return Shortening.of(
                made.book(), Running.of(made.book(), made.book().find(TONIGHT).orElseThrow()));
    }

    /** Arithmetic: bars of two seconds; 2:00, 3:00, 2:30, 2:00 and a talk of 5:00 are 14:30. */
    @Test
    void aTalkGivesFirstThenTheShortestSongInTheMiddleThatIsLongEnough() {
        assertThat(tonight("12:20", "5:00"))
                .extracting(
                        ways -> ways.getFirst().entry().name().text(),
                        ways -> ways.getFirst().value(),
                        ways -> ways.getFirst().gained())
                .containsExactly(
                        tuple("Tale", 165_000_000L, 135_000_000L),
                        tuple("Three", 0L, 150_000_000L),
                        tuple("Two", 0L, 180_000_000L));
        assertThat(tonight("10:00", "5:00"))
                .as("a talk is not made shorter than a minute, and no song is long enough: both together are")
                .singleElement()
                .satisfies(ways -> assertThat(ways)
                        .extracting(Shortening::way, Shortening::gained)
                        .containsExactly(
                                tuple(Shortening.Way.SAY_LESS, 240_000_000L),
                                tuple(Shortening.Way.LEAVE_OUT, 150_000_000L)));
        assertThat(tonight("3:00", "5:00")).as("no way makes it fit").isEmpty();
        assertThat(tonight("20:00", "5:00")).isEmpty();
    }

    /** Arithmetic: a pass of the vamp 20 s, the last section 30 s, the wait 40 s; 3:50 each with the passes. */
    @Test
    void waitsAndVampsGiveBeforeASongIsCut() {
        Sketch sketch = songs().song("Long", WITH_A_VAMP)
                .edit(new OrderEdit.AddSongTo(TONIGHT, "long"))
                .edit(new OrderEdit.AddSongTo(TONIGHT, "one"))
                .edit(new OrderEdit.DescribePart(
                        TONIGHT, 1, Item.SONG, "", "", "", Transition.Way.ON_DEMAND, "0:40", "", "", Optional.empty()));
        assertThat(ways(sketch, "6:05"))
                .as("6:30 in all")
                .extracting(
                        ways -> ways.getFirst().way(),
                        ways -> ways.getFirst().value(),
                        ways -> ways.getFirst().gained())
                .containsExactly(
                        tuple(Shortening.Way.GO_ON, 15_000_000L, 25_000_000L),
                        tuple(Shortening.Way.FEWER_PASSES, 2L, 40_000_000L),
                        tuple(Shortening.Way.TRIM, 30_000_000L, 30_000_000L));
    }
}
