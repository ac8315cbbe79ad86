package embrack.core.stage;

import embrack.core.light.Chase;
import embrack.core.light.Frame;
import embrack.core.light.Frames;
import embrack.core.light.Look;
import embrack.core.light.Pace;
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
        return new Onstage(
                plan,
                List.of(new Sight(0, Optional.empty(), Optional.of(Running.from(0, chase, Pace.ANY_TEMPO)), false)));
    }

    /** The look that is seen at a time, microseconds from bar 1; empty in the dark. */
    public Optional<Look> look(long micros) {
        int last = last(micros);
        return last < 0 ? Optional.empty() : look(sights.get(last), micros);
    }

    private Optional<Look> look(Sight sight, long micros) {
        return sight.isBlackedOut()
                ? Optional.empty()
                : sight.running().isEmpty()
                        ? sight.look()
                        : sight.running().get().look(plan.lights(), micros);
    }

    /** What a universe is sent at a time, microseconds from bar 1. */
    public Frame frame(Frames frames, long micros, int universe) {
        return frame(frames, last(micros), micros, universe);
    }

    /** What comes in slowly begins from what was there by then, which may be coming in itself. */
    private Frame frame(Frames frames, int last, long micros, int universe) {
        if (last < 0) {
            return frames.dark(universe);
        }
        Sight sight = sights.get(last);
        Frame now = look(sight, micros).map(look -> frames.of(look, universe)).orElseGet(() -> frames.dark(universe));
        long fade = sight.fadeMicros(last == 0 ? Optional.empty() : Optional.of(sights.get(last - 1)));
        long since = micros - sight.micros();
        return since >= fade
                ? now
                : frames.between(
                        frame(frames, last - 1, sight.micros(), universe), now, since / (double) fade, universe);
    }

    /** The number of the last that has begun, -1 before the first; cost: the logarithm of their number. */
    private int last(long micros) {
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
        return low - 1;
    }
}
