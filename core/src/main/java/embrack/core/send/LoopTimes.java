package embrack.core.send;

import java.util.List;

/**
 * How long messages took from where they were sent to where they were heard.
 *
 * @param micros each in microseconds, 0 or more, the least first; at least one
 */
public record LoopTimes(List<Long> micros) {

    /** As many are kept. */
    public static final int MOST = 1_000;

    public LoopTimes {
        micros = micros.stream().sorted().limit(MOST).toList();
        if (micros.isEmpty() || micros.getFirst() < 0) {
            throw new IllegalArgumentException("loop times are one or more of 0 microseconds or more, were " + micros);
        }
    }

    public long least() {
        return micros.getFirst();
    }

    public long median() {
        return percentile(50);
    }

    public long worst() {
        return micros.getLast();
    }

    /**
     * The least time that so many percent of all do not pass: the nearest rank.
     *
     * <p>Source: Hyndman and Fan, "Sample Quantiles in Statistical Packages", 1996, definition 1.
     *
     * @param percent 1 to 100
     */
    public long percentile(int percent) {
        if (percent < 1 || percent > 100) {
            throw new IllegalArgumentException("a percentile is 1 to 100, was " + percent);
        }
        return micros.get((int) Math.ceil(percent / 100.0 * micros.size()) - 1);
    }
}
