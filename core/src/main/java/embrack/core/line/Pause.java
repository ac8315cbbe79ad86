package embrack.core.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The longest time without anything in what else comes steadily, as a clock does that stops and goes on.
 *
 * @param usualMicros from one message to the next as often as not, in microseconds
 * @param longestMicros at the most
 */
public record Pause(long usualMicros, long longestMicros) {

    /** Of fewer nothing can be said. Common practice, no source. */
    public static final int LEAST = 8;

    /** As many are looked at. */
    public static final int MOST = 4_096;

    /** What times of messages show, in any order; empty where too few came. */
    public static Optional<Pause> of(List<Long> micros) {
        if (micros.size() < LEAST) {
            return Optional.empty();
        }
        List<Long> sorted = micros.stream().sorted().limit(MOST).toList();
        List<Long> between = new ArrayList<>();
        for (int i = 1; i < sorted.size(); i++) {
            between.add(sorted.get(i) - sorted.get(i - 1));
        }
        between.sort(null);
        return Optional.of(new Pause(between.get(between.size() / 2), between.getLast()));
    }

    /** How long what should have come did not, in microseconds. */
    public long lostMicros() {
        return Math.max(0, longestMicros - usualMicros);
    }
}
