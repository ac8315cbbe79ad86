package embrack.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.sheet.Joins.About;
import embrack.core.sheet.Joins.Join;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import embrack.core.show.ShowId;
import embrack.core.show.Song;
import embrack.core.show.Transition;
import embrack.core.show.Transition.Way;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is heard, seen and open between two parts, and who brings in the next. */
class JoinsTests {

    private static final Plan PLAN = Evening.plan();

    @Test
    void eachTransitionIsAThingOfItsOwn() {
        Show show = PLAN.book().tonight().orElseThrow();
        List<Join> joins = Joins.of(PLAN, show);
        assertThat(joins).hasSize(show.order().size() - 1);
        Join toTale = joins.get(1);
        assertThat(toTale.lines())
                .containsEntry(About.LOOK, "Lantern desk: Scene 6")
                .containsEntry(About.EFFECTS, "Guitar sounds: Patch 2")
                .containsEntry(About.WHO, "Whoever speaks begins.");
        assertThat(joins.get(2).lines()).containsEntry(About.WHO, "Nobody is said to begin Ebb.");
    }

    @Test
    void aCrossfadeSaysItsMiddleAndAnEmptyWaitSaysSo() {
        Show show = PLAN.book().tonight().orElseThrow();
        Entry first = show.order().getFirst();
        Show faded = show.withEntry(first.withTransition(new Transition(Way.CROSSFADE, 4_000_000)));
        assertThat(Joins.of(PLAN, faded).getFirst().lines().get(About.SOUND))
                .contains("In the middle, linear: each is at \u22126.0 dB, both together at \u22123.0 dB;"
                        + " equal power: each is at \u22123.0 dB, both together at 0.0 dB.");
        Show waiting = show.withEntry(show.order().get(3).withTransition(new Transition(Way.ON_DEMAND, 1_000_000)));
        assertThat(Joins.of(PLAN, waiting).get(3).blank())
                .hasValueSatisfying(words -> assertThat(words).startsWith("Silence until somebody presses."));
        assertThat(Joins.of(PLAN, show))
                .allSatisfy(join -> assertThat(join.blank()).isEmpty());
    }

    /** A loop that nobody stopped is told with its level; one that a level shut, as what comes back with it. */
    @Test
    void whatGoesOnUnderAJoinIsTold() {
        assertThat(sound(loops("1 = loops record:track-1", "2 = loops level:track-1:127")))
                .endsWith(" Still heard: loops of Loops, in the house at 6.0 dB.");
        assertThat(sound(loops("1 = loops record:track-1", "2 = loops level:track-1:0")))
                .endsWith(" Running unheard, and in at once when its level or mute is opened: loops of Loops.");
        assertThat(sound(loops("1 = loops record:track-1", "2 = loops stop:track-1")))
                .doesNotContain("loops of Loops");
    }

    private static Sketch loops(String... cues) {
        return Sketch.of("Loops")
                .box("Loops", "loop-table-five-tracks")
                .box("DI", "di-passive")
                .box("Mixer", "house-console-24")
                .box("House", "house-speakers")
                .link(
                        "loops.output > di.in",
                        "di.out > mixer.input-1",
                        "mixer.main-left > house.in-left",
                        "mixer.main-right > house.in-right")
                .song("Ebb", "tempo 120\nVerse: 8 bars")
                .song("Flood", "tempo 120\nVerse: 8 bars")
                .cues("ebb", cues);
    }

    private static String sound(Sketch sketch) {
        Plan plan = sketch.plan();
        Show show = Show.empty(new ShowId("show"), new TapeLabel("Show"));
        for (Song song : plan.book().songs()) {
            show = show.withMore(Entry.of(show.nextNumber(), song));
        }
        return Joins.of(plan, show).getFirst().lines().get(About.SOUND);
    }
}
