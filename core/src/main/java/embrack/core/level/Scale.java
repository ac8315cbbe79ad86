package embrack.core.level;

import embrack.core.midi.DataByte;
import java.util.Comparator;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * How a box shows a level that is sent as 0 to 127: "0 to 200", "0 to 100 %", "-inf to +6 dB".
 *
 * @param fromSilence whether its lowest value is silence, minus infinity; then it counts in decibels by
 * {@link Law#DECIBELS}, and {@code bottom} is ignored
 * @param bottom what it shows at 0
 * @param top what it shows at 127, above {@code bottom}
 * @param unit what stands behind the number; empty for nothing
 */
public record Scale(boolean fromSilence, int bottom, int top, String unit) {

    private static final Pattern TEXT =
            Pattern.compile("(-inf|[-+]?\\d{1,5}) to ([-+]?\\d{1,5})(?: ?(%|[A-Za-z]{1,8}))?");
    private static final Pattern NUMBER = Pattern.compile("([-+\u2212]?\\d{1,5}(?:\\.\\d{1,2})?)\\s*(.*)");
    private static final String SILENCE = "\u2212\u221E";

    public Scale {
        bottom = fromSilence ? 0 : bottom;
        if (!fromSilence && bottom >= top) {
            throw new IllegalArgumentException("a scale goes up, was %d to %d".formatted(bottom, top));
        }
        if (fromSilence && !unit.equals("dB")) {
            throw new IllegalArgumentException("a scale from -inf is in dB");
        }
    }

    /**
     * Reads what {@link #text()} wrote.
     *
     * @throws IllegalArgumentException when it is none
     */
    public static Scale parse(String text) {
        Matcher matcher = TEXT.matcher(text.strip());
        if (!matcher.matches()) {
            throw new IllegalArgumentException("a scale is such as 0 to 200, 0 to 100 % or -inf to +6 dB");
        }
        boolean silence = matcher.group(1).equals("-inf");
        String unit = matcher.group(3) == null ? "" : matcher.group(3);
        return new Scale(
                silence,
                silence ? 0 : Integer.parseInt(matcher.group(1)),
                Integer.parseInt(matcher.group(2)),
                unit.equalsIgnoreCase("db") ? "dB" : unit);
    }

    /** As it stands in a chart: "0 to 200", "-inf to +6 dB". */
    public String text() {
        return "%s to %s%s"
                .formatted(
                        fromSilence ? "-inf" : String.valueOf(bottom),
                        isDecibels() && top > 0 ? "+" + top : String.valueOf(top),
                        unit.isEmpty() ? "" : " " + unit);
    }

    /** What a level counted so is, for its caps and jumps: decibels, or parts of its whole way. */
    public Law law() {
        return isDecibels() ? Law.DECIBELS : Law.PERCENT;
    }

    /**
     * What the box shows, with its unit.
     *
     * @param value as sent, 0 to 127
     */
    public String shown(int value) {
        DataByte.checked("level", value);
        if (fromSilence) {
            return value == 0
                    ? SILENCE + " dB"
                    : String.format(Locale.ROOT, "%.1f dB", Law.DECIBELS.decibels(value, top))
                            .replace("-0.0", "0.0")
                            .replace('-', '\u2212');
        }
        return (number(value) + (unit.isEmpty() ? "" : " " + unit)).replace('-', '\u2212');
    }

    /**
     * The value to send, 0 to 127, for what a person reads off the box, with or without its unit.
     *
     * @throws IllegalArgumentException with a sentence for the person when the box shows no such level
     */
    public int value(String typed) {
        String text = typed.strip();
        if (fromSilence
                && (text.startsWith(SILENCE) || text.toLowerCase(Locale.ROOT).startsWith("-inf"))) {
            return 0;
        }
        Matcher matcher = NUMBER.matcher(text);
        if (!matcher.matches()
                || !(matcher.group(2).isEmpty() || matcher.group(2).equalsIgnoreCase(unit))) {
            throw new IllegalArgumentException(wanted());
        }
        double number = Double.parseDouble(matcher.group(1).replace('\u2212', '-'));
        if (number > top || !fromSilence && number < bottom) {
            throw new IllegalArgumentException(wanted());
        }
        return fromSilence
                ? IntStream.rangeClosed(1, DataByte.MAX)
                        .boxed()
                        .min(Comparator.comparingDouble(v -> Math.abs(Law.DECIBELS.decibels(v, top) - number)))
                        .orElseThrow()
                : valueOf(number);
    }

    private String wanted() {
        return "The box shows %s here; write such a number.".formatted(text());
    }

    private boolean isDecibels() {
        return unit.equals("dB");
    }

    private int valueOf(double number) {
        return (int) Math.round((number - bottom) * DataByte.MAX / (top - bottom));
    }

    /** Of the numbers that are sent as one value, the roundest. */
    private int number(int value) {
        double exact = bottom + value * (double) (top - bottom) / DataByte.MAX;
        return IntStream.rangeClosed((int) Math.floor(exact) - 1, (int) Math.ceil(exact) + 1)
                .filter(number -> number >= bottom && number <= top && valueOf(number) == value)
                .boxed()
                .min(Comparator.<Integer>comparingInt(number -> number % 10 == 0 ? 0 : number % 5 == 0 ? 1 : 2)
                        .thenComparingDouble(number -> Math.abs(number - exact)))
                .orElse((int) Math.round(exact));
    }
}
