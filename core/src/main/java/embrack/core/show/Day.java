package embrack.core.show;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A day of the calendar. */
public record Day(int year, int month, int day) implements Comparable<Day> {

    private static final Pattern FORM = Pattern.compile("(\\d{4})-(\\d{2})-(\\d{2})");
    private static final int[] LENGTHS = {31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31};

    public Day {
        if (year < 1900 || year > 2200 || month < 1 || month > 12 || day < 1 || day > length(year, month)) {
            throw new IllegalArgumentException("There is no day %04d-%02d-%02d.".formatted(year, month, day));
        }
    }

    /**
     * The day that a person typed: 2026-12-05.
     *
     * @throws IllegalArgumentException with a sentence for the person when it is none
     */
    public static Day parse(String typed) {
        Matcher matcher = FORM.matcher(typed.strip());
        if (!matcher.matches()) {
            throw new IllegalArgumentException("Write a day as year-month-day, such as 2026-12-05.");
        }
        return new Day(
                Integer.parseInt(matcher.group(1)),
                Integer.parseInt(matcher.group(2)),
                Integer.parseInt(matcher.group(3)));
    }

    private static int length(int year, int month) {
        boolean leap = year % 4 == 0 && year % 100 != 0 || year % 400 == 0;
        return month == 2 && leap ? 29 : LENGTHS[month - 1];
    }

    @Override
    public int compareTo(Day other) {
        return toString().compareTo(other.toString());
    }

    @Override
    public String toString() {
        return String.format(Locale.ROOT, "%04d-%02d-%02d", year, month, day);
    }
}
