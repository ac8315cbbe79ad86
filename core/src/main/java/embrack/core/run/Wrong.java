package embrack.core.run;

import embrack.core.world.Happened;
import embrack.core.world.Place;
import java.util.Optional;

/**
 * A place that stands otherwise than the night would have it.
 *
 * @param since microseconds of the run
 * @param meant how it should stand
 * @param actual how it stands
 * @param by what was to bring it about, or what brought it astray; empty where it stood so from the start
 * @param where what became of the message that was to do it, where one did not do so
 * @param told whether it has been so for long enough to be told
 */
public record Wrong(
        Place place,
        long since,
        int meant,
        int actual,
        Optional<Line.What> by,
        Optional<Happened> where,
        boolean told) {

    /** As long as this it may take for messages to arrive, 300 ms. Common practice, no source. */
    static final long SETTLES_MICROS = 300_000;

    Wrong told(Optional<Happened> how) {
        return new Wrong(place, since, meant, actual, by, how, true);
    }

    Wrong standing(int meantNow, int actualNow) {
        return meantNow == meant && actualNow == actual
                ? this
                : new Wrong(place, since, meantNow, actualNow, by, where, told);
    }
}
