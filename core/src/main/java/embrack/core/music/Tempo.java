package embrack.core.music;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * A tempo.
 *
 * @param thousandths quarter notes a minute, times 1 000; 10 to 400 a minute
 */
public record Tempo(int thousandths) implements Comparable<Tempo> {

    /** The slowest, in thousandths of a quarter a minute. */
    public static final int SLOWEST = 10_000;

    /** The fastest, in thousandths of a quarter a minute. */
    public static final int FASTEST = 400_000;

    private static final double MICROS_PER_MINUTE = 60_000_000;

    /** Digits alone: with an exponent, a short text says a number that no memory holds. */
    private static final Pattern NUMBER = Pattern.compile("[-+]?\\d{1,40}(?:\\.\\d{0,40})?");

    public Tempo {
        if (thousandths < SLOWEST || thousandths > FASTEST) {
            throw new IllegalArgumentException(
                    "A tempo is 10 to 400 quarters a minute, was %s.".formatted(text(thousandths)));
        }
    }

    /**
     * The tempo that a person typed: "92", "92.5".
     *
     * @throws IllegalArgumentException with a sentence for the person when it is none
     */
    public static Tempo parse(String typed) {
        String number = typed.strip().replace(',', '.');
        if (!NUMBER.matcher(number).matches()) {
            throw new IllegalArgumentException("Write a tempo in quarters a minute, such as 92 or 92.5.");
        }
        try {
            return new Tempo(new BigDecimal(number)
                    .movePointRight(3)
                    .setScale(0, RoundingMode.HALF_UP)
                    .intValueExact());
        } catch (ArithmeticException e) {
            throw new IllegalArgumentException("A tempo is 10 to 400 quarters a minute.");
        }
    }

    /** The tempo whose quarter lasts so many microseconds, as a Standard MIDI File says it, to the thousandth. */
    public static Tempo ofMicrosPerQuarter(double micros) {
        return new Tempo((int) Math.round(MICROS_PER_MINUTE * 1_000 / micros));
    }

    /** Quarters a minute. */
    public double bpm() {
        return thousandths / 1_000.0;
    }

    /** How long a quarter lasts, microseconds. */
    public double microsPerQuarter() {
        return MICROS_PER_MINUTE / bpm();
    }

    /** The tempo times a factor. */
    public Tempo times(double factor) {
        return new Tempo((int) Math.round(thousandths * factor));
    }

    @Override
    public int compareTo(Tempo other) {
        return Integer.compare(thousandths, other.thousandths);
    }

    /** As it is written: "92", "92.5". */
    @Override
    public String toString() {
        return text(thousandths);
    }

    private static String text(int thousandths) {
        return thousandths % 1_000 == 0
                ? String.valueOf(thousandths / 1_000)
                : String.format(Locale.ROOT, "%.3f", thousandths / 1_000.0).replaceAll("0+$", "");
    }
}
