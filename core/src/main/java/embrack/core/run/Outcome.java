package embrack.core.run;

import java.util.Comparator;
import java.util.List;

/**
 * What comes of something that goes wrong at one moment, if nobody does anything about it, in short. Times are in
 * microseconds.
 *
 * @param heardMicros how long the audience hears that something is wrong
 * @param seenMicros how long it sees it
 * @param wrongMicros how long anything is wrong, noticed or not
 * @param isSilent whether nothing played that should
 * @param isLasting whether something is wrong still at the end of what was looked at
 * @param helps what would bring it back, in order; empty where nothing does, or where nobody looked for it
 */
public record Outcome(
        long heardMicros, long seenMicros, long wrongMicros, boolean isSilent, boolean isLasting, List<Act> helps) {

    /** The worse of two: what the audience notices more of, then what is wrong longer. */
    public static final Comparator<Outcome> BY_HARM =
            Comparator.comparingLong(Outcome::noticedMicros).thenComparingLong(Outcome::wrongMicros);

    public Outcome {
        helps = List.copyOf(helps);
    }

    static Outcome of(Aftermath after) {
        return new Outcome(
                after.heardMicros(),
                after.seenMicros(),
                after.wrongMicros(),
                after.isSilent(),
                after.isLasting(),
                after.advice().map(Advice::acts).orElse(List.of()));
    }

    /** Whether anything was wrong at all. */
    public boolean isAny() {
        return wrongMicros > 0;
    }

    /** How long the audience notices it, heard and seen together, microseconds. */
    public long noticedMicros() {
        return heardMicros + seenMicros;
    }
}
