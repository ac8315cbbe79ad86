package embrack.core.show;

/**
 * How one part of a show goes over into the next.
 *
 * @param micros how long: a fade, an overlap, a tail, or the wait for a press, 0 to 10 minutes
 */
public record Transition(Way way, long micros) {

    /** The next begins where this one ends. */
    public static final Transition HARD = new Transition(Way.HARD, 0);

    private static final long LONGEST = 600_000_000;

    /** The ways of going over. */
    public enum Way {
        HARD("hard"),
        /** It fades before its end. */
        FADE("fade"),
        /** The next begins before this one ends. */
        CROSSFADE("crossfade"),
        /** It stops and its reverb rings before the next begins. */
        TAIL("reverb tail"),
        /** The next waits for a press. */
        ON_DEMAND("on demand"),
        /** The next follows by itself, with nothing between. */
        STRAIGHT_ON("without a gap");

        private final String words;

        Way(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** Whether it takes a time. */
        public boolean takesTime() {
            return this == FADE || this == CROSSFADE || this == TAIL || this == ON_DEMAND;
        }
    }

    public Transition {
        if (micros < 0 || micros > LONGEST) {
            throw new IllegalArgumentException("A transition takes 0:00 to 10:00.");
        }
    }

    /** How much later than the end of this part the next begins, microseconds; negative when they overlap. */
    public long gapMicros() {
        return switch (way) {
            case CROSSFADE -> -micros;
            case TAIL, ON_DEMAND -> micros;
            case HARD, FADE, STRAIGHT_ON -> 0;
        };
    }
}
