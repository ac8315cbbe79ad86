package embrack.app.door;

import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.LongSupplier;

/**
 * How long somebody waits after wrong tries: nothing for the first three, then twice as long each time, up to five
 * minutes. Tries from many places at once are counted together too.
 */
final class Patience {

    private static final int FREE = 3;
    private static final int FREE_FROM_ALL = 20;
    private static final Duration LONGEST = Duration.ofMinutes(5);
    private static final int MOST_PLACES = 1_000;
    private static final String ALL = "";

    private final LongSupplier nanos;
    private final Map<String, Tries> tries = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Tries> eldest) {
            return size() > MOST_PLACES;
        }
    };

    private record Tries(int wrong, long until) {}

    /**
     * Nobody waits yet.
     *
     * @param nanos a clock in nanoseconds that never goes back
     */
    Patience(LongSupplier nanos) {
        this.nanos = nanos;
    }

    /** How long a try from a place has to wait still; zero when it may be made. */
    synchronized Duration wait(String place) {
        long longest = Math.max(left(place), left(ALL));
        return Duration.ofNanos(Math.max(0, longest));
    }

    private long left(String place) {
        Tries here = tries.get(place);
        return here == null ? 0 : here.until() - nanos.getAsLong();
    }

    /** A wrong try. */
    synchronized void wrong(String place) {
        count(place, FREE);
        count(ALL, FREE_FROM_ALL);
    }

    private void count(String place, int free) {
        int wrong = tries.getOrDefault(place, new Tries(0, 0)).wrong() + 1;
        long seconds = wrong < free ? 0 : Math.min(LONGEST.toSeconds(), 1L << Math.min(20, wrong - free));
        tries.put(
                place,
                new Tries(wrong, nanos.getAsLong() + Duration.ofSeconds(seconds).toNanos()));
    }

    /** A right try: that place begins anew. */
    synchronized void right(String place) {
        tries.remove(place);
    }
}
