package embrack.core.level;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The level that a socket sends when all is as it should be, or from what to what one takes it: "+4 dBu", "−10 dBV",
 * "−60..+20 dBu".
 *
 * @param low −100 to 40 in that unit
 * @param high at least {@code low}; the same for one level
 */
public record Nominal(double low, double high, Unit unit) {

    /** Against which voltage it counts. Decibels: IEC 60027-3 and ISO 80000-3; the units by definition. */
    public enum Unit {
        /** Against √0.6 V, about 0.775 V. */
        DBU("dBu", Math.sqrt(0.6)),
        /** Against 1 V. */
        DBV("dBV", 1);

        private final String words;
        private final double volts;

        Unit(String words, double volts) {
            this.words = words;
            this.volts = volts;
        }

        public String words() {
            return words;
        }

        /** How far 0 of this unit is above 0 dBu, in decibels: 2.22 for dBV. */
        public double aboveDbu() {
            return 20 * Math.log10(volts / DBU.volts);
        }
    }

    private static final double LOWEST = -100;
    private static final double HIGHEST = 40;
    private static final String NUMBER = "([-+\u2212]?\\d{1,3}(?:\\.\\d)?)";
    private static final Pattern TEXT = Pattern.compile(NUMBER + "(?:\\.\\." + NUMBER + ")? ?(dBu|dBV)");

    public Nominal {
        if (!(low >= LOWEST && high <= HIGHEST && low <= high)) {
            throw new IllegalArgumentException(
                    "a level is \u2212100 to 40 %s, the lower first, was %s to %s".formatted(unit.words(), low, high));
        }
        // Of 0 there is one only, whatever sign it was typed with.
        low += 0.0;
        high += 0.0;
    }

    /** One level in dBu. */
    public static Nominal dbu(double level) {
        return new Nominal(level, level, Unit.DBU);
    }

    /**
     * Reads what {@link #text()} wrote.
     *
     * @throws IllegalArgumentException when it is none
     */
    public static Nominal parse(String text) {
        Matcher matcher = TEXT.matcher(text.strip());
        if (!matcher.matches()) {
            throw new IllegalArgumentException("a level is such as +4 dBu, -10 dBV or -60..+20 dBu");
        }
        double low = number(matcher.group(1));
        double high = matcher.group(2) == null ? low : number(matcher.group(2));
        return new Nominal(low, high, matcher.group(3).equals("dBV") ? Unit.DBV : Unit.DBU);
    }

    private static double number(String written) {
        return Double.parseDouble(written.replace('\u2212', '-'));
    }

    /** As it stands in the text of a box: "-60..+20 dBu". */
    public String text() {
        return (low == high ? written(low) : written(low) + ".." + written(high)) + " " + unit.words();
    }

    private static String written(double level) {
        String number =
                level == Math.rint(level) ? String.valueOf((int) level) : String.format(Locale.ROOT, "%.1f", level);
        return level > 0 ? "+" + number : number;
    }

    /** As people read it: "−10 dBV". */
    public String words() {
        return text().replace('-', '\u2212').replace("..", " to ");
    }

    /** The lowest, in dBu. */
    public double lowDbu() {
        return low + unit.aboveDbu();
    }

    /** The highest, in dBu. */
    public double highDbu() {
        return high + unit.aboveDbu();
    }
}
