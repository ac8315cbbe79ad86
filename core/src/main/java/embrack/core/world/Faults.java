package embrack.core.world;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Pair;
import embrack.core.world.Event.Fate;
import java.util.Collections;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/**
 * What is not as it should be in a rig.
 *
 * @param out links that are out
 * @param dark boxes that are off, with all that they power and host
 * @param over pairs of which the second is used
 * @param fates what befalls the next message over a link
 */
record Faults(SortedSet<Link> out, SortedSet<DeviceId> dark, SortedSet<Pair> over, SortedMap<Link, Fate> fates) {

    /** All as it should be. */
    static final Faults NONE = new Faults(
            Collections.emptySortedSet(),
            Collections.emptySortedSet(),
            Collections.emptySortedSet(),
            Collections.emptySortedMap());

    /** Whether a message passes a piece of its way at all. */
    boolean isPassed(Pieces.Piece piece) {
        return !out.contains(piece.link())
                && !dark.contains(piece.hop().from().device())
                && !dark.contains(piece.hop().to().device());
    }

    Faults withOut(UnaryOperator<SortedSet<Link>> change) {
        return new Faults(changed(out, change), dark, over, fates);
    }

    Faults withDark(UnaryOperator<SortedSet<DeviceId>> change) {
        return new Faults(out, changed(dark, change), over, fates);
    }

    Faults withOver(UnaryOperator<SortedSet<Pair>> change) {
        return new Faults(out, dark, changed(over, change), fates);
    }

    Faults withFates(SortedMap<Link, Fate> others) {
        return new Faults(out, dark, over, Collections.unmodifiableSortedMap(new TreeMap<>(others)));
    }

    private static <E> SortedSet<E> changed(SortedSet<E> set, UnaryOperator<SortedSet<E>> change) {
        return Collections.unmodifiableSortedSet(change.apply(new TreeSet<>(set)));
    }

    /** The same on every machine. */
    int hash() {
        int hash = 1;
        for (Link link : out) {
            hash = 31 * hash + link.toString().hashCode();
        }
        for (DeviceId device : dark) {
            hash = 31 * hash + device.text().hashCode();
        }
        for (Pair pair : over) {
            hash = 31 * hash + pair.first().text().hashCode();
        }
        return 31 * hash + fates.size();
    }
}
