package embrack.core.run;

import embrack.core.run.Noticing.Sense;
import embrack.core.world.Place;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What comes of something that goes wrong, if nobody does anything about it.
 *
 * @param heardMicros how long the audience hears that something is wrong, microseconds
 * @param seenMicros how long it sees it
 * @param wrongMicros how long anything is wrong, noticed or not
 * @param places what was wrong at any time
 * @param isSilent whether nothing played that should
 * @param isLasting whether something is wrong still at the end of what was looked at
 * @param advice what would bring it back, ten seconds after it began
 */
public record Aftermath(
        long heardMicros,
        long seenMicros,
        long wrongMicros,
        SortedSet<Place> places,
        boolean isSilent,
        boolean isLasting,
        Optional<Advice> advice) {

    /** For so long it is looked at, five minutes. */
    static final long LOOKED_AT_MICROS = 300_000_000;

    /** So long after the first thing is wrong somebody has seen it, ten seconds. */
    private static final long SEEN_AFTER_MICROS = 10_000_000;

    /** Whether anything was wrong at all. */
    public boolean isAny() {
        return wrongMicros > 0;
    }

    /** What comes of a fault in a run. {@code isAdvised} whether it is looked for what would bring it back. */
    static Aftermath of(Run before, Fault fault, Noticing noticing, boolean isAdvised) {
        long end = before.now() + LOOKED_AT_MICROS;
        Run run = before.after(new Act.Struck(fault));
        long heard = 0;
        long seen = 0;
        long wrong = 0;
        long first = -1;
        boolean silent = false;
        SortedSet<Place> places = new TreeSet<>();
        Optional<Advice> advice = Optional.empty();
        while (run.now() < end && !run.isOver()) {
            Run next = run.until(Math.min(end, Math.max(run.now() + 1, run.nextMicros())));
            long took = next.now() - run.now();
            boolean isWrong = isWrong(run);
            if (isWrong || !run.actual().linksOut().isEmpty() || !run.repairs().isEmpty()) {
                var senses = noticing.of(run);
                heard += senses.contains(Sense.HEARD) ? took : 0;
                seen += senses.contains(Sense.SEEN) ? took : 0;
                isWrong |= !senses.isEmpty();
                wrong += isWrong ? took : 0;
            }
            run.wrongs().forEach(one -> places.add(one.place()));
            silent |= run.silentSince().isPresent();
            first = isWrong && first < 0 ? run.now() : first;
            if (isAdvised && advice.isEmpty() && isWrong && run.now() - first >= SEEN_AFTER_MICROS) {
                advice = Advice.of(run);
            }
            run = next;
        }
        boolean isLasting = isWrong(run) || !noticing.of(run).isEmpty();
        return new Aftermath(heard, seen, wrong, places, silent, isLasting, advice);
    }

    private static boolean isWrong(Run run) {
        return !run.wrongs().isEmpty() || run.silentSince().isPresent();
    }
}
