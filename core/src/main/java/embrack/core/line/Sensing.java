package embrack.core.line;

import java.util.Collections;
import java.util.Map;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Ports at which a box says again and again that it is there. Once it has, something comes from it at least every 300
 * ms for as long as it is.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, "Active Sensing".
 *
 * @param last when anything came last at those ports, in microseconds
 */
public record Sensing(SortedMap<String, Long> last) {

    public static final Sensing NONE = new Sensing(Collections.emptySortedMap());

    /** 300 ms, and a tenth for a clock that is not exact. */
    static final long LONGEST_MICROS = 330_000;

    private static final int MOST = 256;

    public Sensing {
        last = Collections.unmodifiableSortedMap(new TreeMap<>(last));
    }

    /** Something came at a port. {@code says} whether it was that somebody is there, and nothing else. */
    public Sensing heard(String port, long micros, boolean says) {
        if (!last.containsKey(port) && (!says || last.size() >= MOST)) {
            return this;
        }
        SortedMap<String, Long> more = new TreeMap<>(last);
        more.merge(port, micros, Math::max);
        return new Sensing(more);
    }

    /** Those at which somebody was, and is no longer. */
    public SortedSet<String> silent(long nowMicros) {
        SortedSet<String> silent = new TreeSet<>();
        for (Map.Entry<String, Long> one : last.entrySet()) {
            if (nowMicros - one.getValue() > LONGEST_MICROS) {
                silent.add(one.getKey());
            }
        }
        return silent;
    }
}
