package embrack.core.stage;

import embrack.core.light.Chase;
import embrack.core.light.Frame;
import embrack.core.light.Frames;
import embrack.core.light.Look;
import embrack.core.plan.Plan;
import embrack.core.show.Song;
import java.util.List;
import java.util.Optional;

/**
 * What is on stage at any time of a song, or for as long as one look is shown.
 *
 * @param sights in the order of their times
 */
public record Onstage(Plan plan, List<Sight> sights) {

    public Onstage {
        sights = List.copyOf(sights);
    }

    /** A song as its cues have it. */
    public static Onstage of(Plan plan, Song song) {
        return new Onstage(plan, Scenery.of(plan, song));
    }

    /** One look from now on. */
    public static Onstage of(Plan plan, Look look) {
        return new Onstage(plan, List.of(Sight.of(0, Optional.of(look))));
    }

    /** One chase from now on. */
    public static Onstage of(Plan plan, Chase chase) {
        return new Onstage(plan, List.of(new Sight(0, Optional.empty(), Optional.of(chase), false)));
    }

    /** The look that is seen at a time, microseconds from bar 1; empty in the dark. */
    public Optional<Look> look(long micros) {
        return sight(micros)
                .filter(sight -> !sight.isBlackedOut())
                .flatMap(sight -> sight.chase().isEmpty()
                        ? sight.look()
                        : sight.chase()
                                .get()
                                .look(plan.lights(), sight.chase().get().stepAt(micros - sight.micros())));
    }

    /** What a universe is sent at a time, microseconds from bar 1. */
    public Frame frame(Frames frames, long micros, int universe) {
        return look(micros).map(look -> frames.of(look, universe)).orElseGet(() -> frames.dark(universe));
    }

    /** The last that has begun; cost: the logarithm of their number. */
    private Optional<Sight> sight(long micros) {
        int low = 0;
        int high = sights.size();
        while (low < high) {
            int middle = (low + high) / 2;
            if (sights.get(middle).micros() <= micros) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low == 0 ? Optional.empty() : Optional.of(sights.get(low - 1));
    }
}
