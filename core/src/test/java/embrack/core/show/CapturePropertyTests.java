package embrack.core.show;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.music.Position;
import embrack.core.music.RandomTempoMaps;
import embrack.core.music.TempoMap;
import embrack.core.name.TapeLabel;
import embrack.core.show.Capture.Deed;
import embrack.core.show.Capture.Hit;
import embrack.core.show.Capture.Taken;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

class CapturePropertyTests {

    private static final List<Integer> GRIDS = List.of(240, 320, 480, 960, 30_720);
    private static final List<String> STEPS =
            List.of("lantern-desk recall:scene-1", "lantern-desk recall:scene-2", "guitar-sounds select:patch-3");

    private static Form form(Random random) {
        return new Form(RandomTempoMaps.of(random), List.of(new Section(new TapeLabel("All"), 40)));
    }

    private static List<Hit> hits(Random random, Form form) {
        List<Hit> hits = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            long at = (long) (random.nextDouble() * form.lengthMicros());
            Deed deed = random.nextInt(4) == 0
                    ? new Deed(Optional.empty(), Optional.of(Sketch.at("foot-board " + (1 + random.nextInt(4)))))
                    : new Deed(Optional.of(Sketch.stepOf(STEPS.get(random.nextInt(STEPS.size())))), Optional.empty());
            hits.add(new Hit(at, deed, false));
            hits.add(new Hit(at + 90_000, deed, true));
            if (random.nextInt(3) == 0) {
                hits.add(new Hit(at + random.nextInt(50_000), deed, false));
            }
        }
        return hits;
    }

    /** The nearest place of a grid is the one that trying all of them finds; a grid begins anew with each bar. */
    @Property(tries = 60)
    void theNearestPlaceIsTheOneThatTryingAllFinds(@ForAll @IntRange(max = 1_000_000) int seed) {
        var random = new Random(seed);
        Form form = form(random);
        TempoMap tempoMap = form.tempoMap();
        for (int i = 0; i < 20; i++) {
            long micros = (long) (random.nextDouble() * form.lengthMicros());
            int grid = GRIDS.get(random.nextInt(GRIDS.size()));
            double best = Double.MAX_VALUE;
            for (int bar = 1; bar <= 41; bar++) {
                for (int tick = 0; tick < tempoMap.metre(bar).ticksPerBar(); tick += grid) {
                    best = Math.min(
                            best, Math.abs(tempoMap.exactMicros(tempoMap.tick(new Position(bar, tick))) - micros));
                }
            }
            assertThat(Math.abs(tempoMap.exactMicros(tempoMap.snap(micros, grid)) - micros))
                    .isLessThanOrEqualTo(best + 1);
        }
    }

    /**
     * Whatever was pressed: no release and no double is kept, everything else is, in order, each cue once for its
     * moment.
     */
    @Property(tries = 120)
    void whatIsKeptIsWhatWasMeant(@ForAll @IntRange(max = 1_000_000) int seed) {
        var random = new Random(seed);
        Form form = form(random);
        List<Hit> hits = hits(random, form);
        int grid = random.nextBoolean() ? 0 : GRIDS.get(random.nextInt(GRIDS.size()));
        Capture capture = Capture.of(form, hits, grid, true);
        assertThat(capture.taken()).hasSameSizeAs(hits).extracting(Taken::at).isSorted();
        assertThat(capture.taken().stream().filter(taken -> taken.dropped().equals(Optional.of("release, a note-off"))))
                .hasSize(30);
        Set<List<Object>> kept = new HashSet<>();
        for (Taken taken : capture.taken()) {
            assertThat(taken.shift()).isEqualTo(taken.micros() - taken.at());
            if (taken.dropped().isEmpty()) {
                assertThat(kept.add(List.of(taken.deed(), taken.micros())))
                        .as("kept once")
                        .isTrue();
            }
            if (grid == 0) {
                assertThat(Math.abs(taken.shift())).isLessThanOrEqualTo(500);
                assertThat(taken.anchor()).isInstanceOf(Anchor.OnClock.class);
            }
        }
        requireCues(capture, form);
    }

    private static void requireCues(Capture capture, Form form) {
        List<Cue> cues = capture.cues(5);
        long steps = cues.stream()
                .mapToLong(cue -> cue.foot().isPresent() ? 1 : cue.steps().size())
                .sum();
        assertThat(steps)
                .isEqualTo(capture.taken().stream()
                        .filter(taken -> taken.dropped().isEmpty())
                        .count());
        assertThat(cues).extracting(Cue::number).doesNotHaveDuplicates().allMatch(number -> number >= 5);
        assertThat(cues.stream().filter(cue -> cue.foot().isEmpty()).map(Cue::at))
                .doesNotHaveDuplicates();
        assertThat(cues).allMatch(cue -> cue.at().micros(form).isPresent());
    }

    /** Kept with its releases, nothing is called one; a press and its release are then two. */
    @Property(tries = 40)
    void releasesAreKeptWhenTheyAreWanted(@ForAll @IntRange(max = 1_000_000) int seed) {
        var random = new Random(seed);
        Form form = form(random);
        Capture capture = Capture.of(form, hits(random, form), 0, false);
        assertThat(capture.taken()).noneMatch(taken -> taken.dropped().equals(Optional.of("release, a note-off")));
        assertThat(capture.cues(1).size())
                .isGreaterThanOrEqualTo(Capture.of(form, hits(new Random(seed), form), 0, true)
                                .cues(1)
                                .size()
                        / 2);
    }
}
