package embrack.core.rig;

import java.util.Locale;

/** The length of a cable, from 10 cm to 200 m. */
public record Length(int centimetres) implements Comparable<Length> {

    private static final int SHORTEST = 10;
    private static final int LONGEST = 20_000;

    public Length {
        if (centimetres < SHORTEST || centimetres > LONGEST) {
            throw new IllegalArgumentException(
                    "A cable is 0.1 to 200 m long; %s is not.".formatted(metres(centimetres)));
        }
    }

    /** A length in whole metres. */
    public static Length ofMetres(int metres) {
        return new Length(Math.multiplyExact(metres, 100));
    }

    /**
     * A length as a person types it, in metres: "3", "2.5 m", "0,5".
     *
     * @throws IllegalArgumentException with a sentence for a person when it is none
     */
    public static Length parse(String typed) {
        String digits =
                typed.strip().toLowerCase(Locale.ROOT).replaceFirst(" ?m$", "").replace(',', '.');
        if (!digits.matches("\\d{1,4}(\\.\\d{1,2})?")) {
            throw new IllegalArgumentException(
                    "Write the length in metres, such as 3 or 2.5; \"%s\" is none.".formatted(typed.strip()));
        }
        return new Length((int) Math.round(Double.parseDouble(digits) * 100));
    }

    /** As it is written on a list: "3 m", "2.5 m". */
    public String words() {
        return metres(centimetres);
    }

    private static String metres(int centimetres) {
        String decimals = String.format(Locale.ROOT, "%d.%02d", centimetres / 100, centimetres % 100)
                .replaceFirst("\\.?0+$", "");
        return (decimals.isEmpty() ? "0" : decimals) + " m";
    }

    @Override
    public int compareTo(Length other) {
        return Integer.compare(centimetres, other.centimetres);
    }
}
