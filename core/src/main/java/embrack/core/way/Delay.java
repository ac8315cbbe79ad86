package embrack.core.way;

import java.util.Locale;

/**
 * A time that is not always the same, in microseconds.
 *
 * @param best at the least, 0 or more
 * @param usual as often as not
 * @param worst at the most, at least as much as {@code usual}
 */
public record Delay(long best, long usual, long worst) {

    public static final Delay NONE = new Delay(0, 0, 0);

    public Delay {
        if (best < 0 || usual < best || worst < usual) {
            throw new IllegalArgumentException(
                    "a delay goes from 0 up: best, usual, worst, was %d, %d, %d".formatted(best, usual, worst));
        }
    }

    /** Always the same time. */
    public static Delay always(long micros) {
        return new Delay(micros, micros, micros);
    }

    /** The wait for something that comes round: nothing at best, half of it usually, all of it at worst. */
    public static Delay waitFor(long micros) {
        return new Delay(0, micros / 2, micros);
    }

    public Delay plus(Delay other) {
        return new Delay(best + other.best, usual + other.usual, worst + other.worst);
    }

    /** A time in milliseconds as it is shown: {@code 2.67}. */
    public static String millis(long micros) {
        return String.format(Locale.ROOT, "%.2f", micros / 1000.0);
    }

    /** All three in milliseconds: "0.96 / 1.46 / 1.96 ms". */
    public String words() {
        return "%s / %s / %s ms".formatted(millis(best), millis(usual), millis(worst));
    }
}
