package embrack.app.run;

import java.util.Locale;
import java.util.stream.Stream;

/**
 * How fast a run goes on.
 *
 * @param isGoing whether it goes on at all
 */
record Pace(Speed speed, boolean isGoing) {

    static final Pace PAUSED = new Pace(Speed.ONE, false);

    /** The speeds. */
    enum Speed {
        QUARTER("¼×", 0.25),
        HALF("½×", 0.5),
        ONE("1×", 1),
        TWO("2×", 2),
        FOUR("4×", 4),
        TEN("10×", 10),
        THIRTY("30×", 30),
        SIXTY("60×", 60),
        /** As fast as it can be worked out. */
        ALL("as fast as it goes", Double.POSITIVE_INFINITY),
        /** By the clock around each end of a part, and over what lies between at once. */
        JOINS("only the joins", 1),
        /** By the clock before each press that somebody has to make, and over what lies between at once. */
        PRESSES("only the presses", 1),
        /** The same, at seven tenths. */
        SLOWER("only the presses, slower", 0.7);

        private final String words;
        private final double rate;

        Speed(String words, double rate) {
            this.words = words;
            this.rate = rate;
        }

        String words() {
            return words;
        }

        /** How many seconds of the run go by in one. */
        double rate() {
            return rate;
        }

        String key() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Whether what comes in the run can go to real boxes: it is no faster than they are, and leaves nothing out. */
    boolean isForGear() {
        return switch (speed) {
            case QUARTER, HALF, ONE -> true;
            case TWO, FOUR, TEN, THIRTY, SIXTY, ALL, JOINS, PRESSES, SLOWER -> false;
        };
    }

    Pace going(boolean other) {
        return new Pace(speed, other);
    }

    Pace at(Speed other) {
        return new Pace(other, isGoing);
    }

    /** As it is kept: "going sixty". */
    String written() {
        return (isGoing ? "going " : "paused ") + speed.key();
    }

    /** What {@link #written} wrote; paused at its own speed for anything else. */
    static Pace parse(String text) {
        return Stream.of(Speed.values())
                .filter(speed -> text.endsWith(" " + speed.key()))
                .findFirst()
                .map(speed -> new Pace(speed, text.startsWith("going ")))
                .orElse(PAUSED);
    }
}
