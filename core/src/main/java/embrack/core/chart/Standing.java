package embrack.core.chart;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How the parts of a box come to stand as they do, whatever messages say.
 *
 * @param alone groups of parts of which one is on at most: whichever goes on puts the others out
 * @param atStart what the box does by itself when it is switched on, in order
 * @param kept parts that stand after power-off as they stood before
 * @param byHand parts that somebody may also set at the box, so that no message tells how they stand
 * @param within parts that obey only while another one is chosen, with that one: a knob of a patch
 * @param loading how it loads memories; empty when what it learned holds whatever is loaded
 */
public record Standing(
        List<List<PartId>> alone,
        List<Action> atStart,
        Set<PartId> kept,
        Set<PartId> byHand,
        Map<PartId, PartId> within,
        Optional<Loading> loading) {

    /** A box of which nothing is said: its parts are independent, and at their first value when it is switched on. */
    public static final Standing PLAIN =
            new Standing(List.of(), List.of(), Set.of(), Set.of(), Map.of(), Optional.empty());

    public Standing {
        alone = alone.stream().map(List::copyOf).toList();
        atStart = List.copyOf(atStart);
        kept = Set.copyOf(kept);
        byHand = Set.copyOf(byHand);
        within = Map.copyOf(within);
    }

    /**
     * Choosing one of these parts loads a memory, and what the box learned holds only in memories into which it was
     * written.
     *
     * @param memories the parts in the order of the memories, the first loads memory 1
     * @param deafMillis how long the box obeys nothing while it loads, in ms, 0 to 60 000
     */
    public record Loading(List<PartId> memories, int deafMillis) {

        /** No box is known that loads longer. */
        public static final int LONGEST_MILLIS = 60_000;

        public Loading {
            memories = List.copyOf(memories);
            if (deafMillis < 0 || deafMillis > LONGEST_MILLIS) {
                throw new IllegalArgumentException(
                        "loading takes 0 to %d ms, was %d".formatted(LONGEST_MILLIS, deafMillis));
            }
        }
    }
}
