package embrack.core.offer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Sketch;
import embrack.core.edit.OrderEdit;
import embrack.core.plan.Plan;
import embrack.core.show.Item;
import embrack.core.show.Running;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A show that is too long, made to fit by what disturbs least. */
class ShorteningTests {

    private static Running tonight(String slot, String talk) {
        Plan plan = Sketch.of("Long evening")
                .song("One", "tempo 120\nVerse: 60 bars\n")
                .song("Two", "tempo 120\nVerse: 90 bars\n")
                .song("Three", "tempo 120\nVerse: 75 bars\n")
                .song("Four", "tempo 120\nVerse: 60 bars\n")
                .edit(new OrderEdit.AddShow("Tonight"))
                .plan();
        var show = plan.book().shows().getFirst().id();
        Sketch sketch = Sketch.on(plan);
        for (String song : List.of("one", "two", "three", "four")) {
            sketch.edit(new OrderEdit.AddSongTo(show, song));
        }
        Plan made = sketch.edit(new OrderEdit.AddPart(show, Item.TALK, "Tale", talk))
                .edit(new OrderEdit.DescribeShow(show, "Tonight", "", "19:30", slot))
                .plan();
        return Running.of(made.book(), made.book().find(show).orElseThrow());
    }

    /** Arithmetic: bars of two seconds; 2:00, 3:00, 2:30, 2:00 and a talk of 5:00 are 14:30. */
    @Test
    void aTalkGivesFirstThenTheShortestSongInTheMiddleThatIsLongEnough() {
        assertThat(Shortening.of(tonight("12:20", "5:00")))
                .extracting(way -> way.entry().name().text(), Shortening::micros, Shortening::gained)
                .containsExactly(
                        tuple("Tale", 165_000_000L, 135_000_000L),
                        tuple("Three", 0L, 150_000_000L),
                        tuple("Two", 0L, 180_000_000L));
        assertThat(Shortening.of(tonight("10:00", "5:00")))
                .as("a talk is not made shorter than a minute, and no song is long enough")
                .isEmpty();
        assertThat(Shortening.of(tonight("20:00", "5:00"))).isEmpty();
    }
}
