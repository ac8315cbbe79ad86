package embrack.core.show;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A time by the clock on the wall; {@code minutes} from midnight, 0 to 1439. */
public record TimeOfDay(int minutes) {

    private static final Pattern FORM = Pattern.compile("(\\d{1,2}):(\\d{2})");
    private static final int DAY = 24 * 60;

    public TimeOfDay {
        if (minutes < 0 || minutes >= DAY) {
            throw new IllegalArgumentException("A time of day is 0:00 to 23:59.");
        }
    }

    /**
     * The time that a person typed: 19:30.
     *
     * @throws IllegalArgumentException with a sentence for the person when it is none
     */
    public static TimeOfDay parse(String typed) {
        Matcher matcher = FORM.matcher(typed.strip());
        if (!matcher.matches() || Integer.parseInt(matcher.group(2)) > 59) {
            throw new IllegalArgumentException("Write a time of day such as 19:30.");
        }
        return new TimeOfDay(Integer.parseInt(matcher.group(1)) * 60 + Integer.parseInt(matcher.group(2)));
    }

    /** The clock so many microseconds later, or earlier: "19:34:12"; goes round at midnight. */
    public String after(long micros) {
        long seconds = Math.floorMod(minutes * 60L + Math.round(micros / 1_000_000.0), DAY * 60L);
        return String.format(Locale.ROOT, "%d:%02d:%02d", seconds / 3_600, seconds / 60 % 60, seconds % 60);
    }

    @Override
    public String toString() {
        return String.format(Locale.ROOT, "%d:%02d", minutes / 60, minutes % 60);
    }
}
