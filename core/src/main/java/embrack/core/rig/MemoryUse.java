package embrack.core.rig;

import java.util.Collections;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What the memories of a device are for.
 *
 * @param inShow those that the show uses, counted from 1; none stands for all that it has
 * @param taken those that hold something already that is to stay
 */
public record MemoryUse(SortedSet<Integer> inShow, SortedSet<Integer> taken) {

    /** The show uses all, and all are empty. */
    public static final MemoryUse ALL = new MemoryUse(new TreeSet<>(), new TreeSet<>());

    public MemoryUse {
        inShow = Collections.unmodifiableSortedSet(new TreeSet<>(inShow));
        taken = Collections.unmodifiableSortedSet(new TreeSet<>(taken));
        if (!inShow.isEmpty() && inShow.first() < 1 || !taken.isEmpty() && taken.first() < 1) {
            throw new IllegalArgumentException("memories are counted from 1");
        }
    }

    /** The show uses the first so many; 0 for all. */
    public static MemoryUse first(int count) {
        return new MemoryUse(
                IntStream.rangeClosed(1, count).boxed().collect(Collectors.toCollection(TreeSet::new)),
                new TreeSet<>());
    }

    /** What of it is left in a box with so many memories. */
    public MemoryUse upTo(int memories) {
        return new MemoryUse(new TreeSet<>(inShow.headSet(memories + 1)), new TreeSet<>(taken.headSet(memories + 1)));
    }

    /** The highest that is named; 0 for none. */
    int highest() {
        return Math.max(inShow.isEmpty() ? 0 : inShow.last(), taken.isEmpty() ? 0 : taken.last());
    }
}
