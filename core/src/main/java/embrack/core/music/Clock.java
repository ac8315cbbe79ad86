package embrack.core.music;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Times of songs and shows in words and back; all in microseconds. */
public final class Clock {

    private static final Pattern FORM =
            Pattern.compile("(?:(?:(\\d{1,2}):)?(\\d{1,3}):)?(\\d{1,5})(?:[.,](\\d{1,6}))?\\s*s?");
    private static final long SECOND = 1_000_000;

    private Clock() {}

    /** To the millisecond: {@code 1:23.456}. */
    public static String text(long micros) {
        long millis = Math.round(Math.abs(micros) / 1_000.0);
        return String.format(
                Locale.ROOT,
                "%s%d:%02d.%03d",
                micros < 0 && millis > 0 ? "-" : "",
                millis / 60_000,
                millis / 1_000 % 60,
                millis % 1_000);
    }

    /** To the microsecond where that says more than the millisecond: {@code 1:23.456}, {@code 1:23.456789}. */
    public static String exact(long micros) {
        return micros % 1_000 == 0
                ? text(micros)
                : String.format(
                        Locale.ROOT, "%d:%02d.%06d", micros / (60 * SECOND), micros / SECOND % 60, micros % SECOND);
    }

    /** To the second, with hours where there are any: {@code 4:36}, {@code 1:02:00}. */
    public static String brief(long micros) {
        long seconds = Math.round(Math.abs(micros) / (double) SECOND);
        String sign = micros < 0 && seconds > 0 ? "-" : "";
        return seconds < 3_600
                ? String.format(Locale.ROOT, "%s%d:%02d", sign, seconds / 60, seconds % 60)
                : String.format(Locale.ROOT, "%s%d:%02d:%02d", sign, seconds / 3_600, seconds / 60 % 60, seconds % 60);
    }

    /** A difference in milliseconds, with its sign: {@code -27 ms}, {@code +12 ms}, {@code 0 ms}. */
    public static String shift(long micros) {
        long millis = Math.round(micros / 1_000.0);
        return (millis > 0 ? "+" : millis < 0 ? "\u2212" : "") + Math.abs(millis) + " ms";
    }

    /**
     * The time that a person typed: "1:23.456", "83.5", "1:02:03".
     *
     * @throws IllegalArgumentException with a sentence for the person when it is none
     */
    public static long parse(String typed) {
        Matcher matcher = FORM.matcher(typed.strip());
        if (!matcher.matches()) {
            throw new IllegalArgumentException("Write a time as minutes:seconds.thousandths, such as 1:23.456.");
        }
        long seconds = Long.parseLong(matcher.group(3));
        if (matcher.group(2) != null) {
            if (seconds > 59) {
                throw new IllegalArgumentException("Behind the minutes, seconds go up to 59.");
            }
            seconds += 60 * Long.parseLong(matcher.group(2))
                    + (matcher.group(1) == null ? 0 : 3_600 * Long.parseLong(matcher.group(1)));
        }
        long micros = matcher.group(4) == null
                ? 0
                : new BigDecimal("0." + matcher.group(4)).movePointRight(6).longValueExact();
        return seconds * SECOND + micros;
    }

    /** How far off something is, microseconds, negative when early: "80 ms early", "12.4 s late", "to the ms". */
    public static String off(long micros) {
        long millis = Math.round(Math.abs(micros) / 1e3);
        return millis == 0
                ? "to the ms"
                : (millis < 2_000 ? millis + " ms" : String.format(Locale.ROOT, "%.1f s", millis / 1e3))
                        + (micros < 0 ? " early" : " late");
    }
}
