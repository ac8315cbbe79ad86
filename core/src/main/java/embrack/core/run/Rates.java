package embrack.core.run;

import java.util.EnumMap;
import java.util.Map;

/** How often things go wrong, by sort: a table of common practice without a source, which a crew may know better. */
public record Rates(Map<Sort, Double> each) {

    /** What can go wrong, and how it is counted. */
    public enum Sort {
        /** A cable comes out; somebody finds it and plugs it in within a minute. For each cable and hour. */
        CABLE(0.002, 60),
        /** A wireless or network link is gone for twenty seconds. For each such link and hour. */
        AIR(0.05, 20),
        /** A box hangs or goes out, and is switched on again after half a minute. For each box and hour. */
        BOX(0.003, 30),
        /** A message gets lost. For each link and hour. */
        MESSAGE(0.01, 0),
        /** Messages over the air or a network come late for ten seconds. For each such link and hour. */
        STUTTER(0.1, 10),
        /** Somebody presses another switch beside the right one. For each press that is planned. */
        MISSTEP(0.01, 0),
        /** Somebody speaks for five minutes longer. For each part in which somebody speaks. */
        OVERRUN(0.3, 300);

        private final double usual;
        private final long seconds;

        Sort(double usual, long seconds) {
            this.usual = usual;
            this.seconds = seconds;
        }

        /** How often by common practice. */
        public double usual() {
            return usual;
        }

        /** Whether it is counted by the hour; else by presses, or parts. */
        public boolean isByHour() {
            return this != MISSTEP && this != OVERRUN;
        }

        /** How long it lasts, microseconds; 0 for what is over at once. */
        public long micros() {
            return seconds * 1_000_000;
        }
    }

    public Rates {
        each = Map.copyOf(each);
        each.forEach((sort, rate) -> {
            if (!(rate >= 0 && rate <= MOST)) {
                throw new IllegalArgumentException("A rate is 0 to %d, was %s.".formatted(MOST, rate));
            }
        });
    }

    /** The highest rate. */
    public static final int MOST = 100;

    /** What is usual. */
    public static Rates usual() {
        Map<Sort, Double> usual = new EnumMap<>(Sort.class);
        for (Sort sort : Sort.values()) {
            usual.put(sort, sort.usual());
        }
        return new Rates(usual);
    }

    /** How often a sort is said to go wrong. */
    public double of(Sort sort) {
        return each.getOrDefault(sort, 0.0);
    }
}
