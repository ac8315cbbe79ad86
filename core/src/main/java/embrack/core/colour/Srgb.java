package embrack.core.colour;

import java.util.Locale;

/**
 * A colour as a screen is told it, each part from 0 to 255. Source of the curve and the matrices: IEC 61966-2-1.
 *
 * @param red 0 to 255
 * @param green 0 to 255
 * @param blue 0 to 255
 */
public record Srgb(int red, int green, int blue) {

    private static final int TOP = 255;

    public Srgb {
        if (Math.min(red, Math.min(green, blue)) < 0 || Math.max(red, Math.max(green, blue)) > TOP) {
            throw new IllegalArgumentException(
                    "Red, green and blue are 0 to 255 each; %d, %d and %d are not.".formatted(red, green, blue));
        }
    }

    /** Shares of the three lamps of a screen, 1 for full; outside 0 to 1 what it cannot show. */
    record Linear(double red, double green, double blue) {
        double max() {
            return Math.max(red, Math.max(green, blue));
        }
    }

    /** The nearest that a screen can show: each part is cut off at none and at full. */
    public static Srgb from(Xyz light) {
        Linear linear = linear(light);
        return new Srgb(encoded(linear.red), encoded(linear.green), encoded(linear.blue));
    }

    /**
     * Reads "#3a5fcd".
     *
     * @throws IllegalArgumentException with a sentence for the person when it is no such number
     */
    public static Srgb parse(String typed) {
        String digits = typed.strip().toLowerCase(Locale.ROOT);
        if (!digits.matches("#[0-9a-f]{6}")) {
            throw new IllegalArgumentException("Write a colour of a screen as # and six digits, such as #3a5fcd.");
        }
        int all = Integer.parseInt(digits.substring(1), 16);
        return new Srgb(all >> 16, all >> 8 & TOP, all & TOP);
    }

    /** The light of it, full white at luminance 1. */
    public Xyz light() {
        double r = decoded(red);
        double g = decoded(green);
        double b = decoded(blue);
        return new Xyz(
                0.4124 * r + 0.3576 * g + 0.1805 * b,
                0.2126 * r + 0.7152 * g + 0.0722 * b,
                0.0193 * r + 0.1192 * g + 0.9505 * b);
    }

    /** As style sheets have it: "#3a5fcd". */
    public String hex() {
        return "#%02x%02x%02x".formatted(red, green, blue);
    }

    static Linear linear(Xyz light) {
        return new Linear(
                3.2406 * light.x() - 1.5372 * light.y() - 0.4986 * light.z(),
                -0.9689 * light.x() + 1.8758 * light.y() + 0.0415 * light.z(),
                0.0557 * light.x() - 0.2040 * light.y() + 1.0570 * light.z());
    }

    private static int encoded(double linear) {
        double cut = Math.clamp(linear, 0, 1);
        double curved = cut <= 0.0031308 ? 12.92 * cut : 1.055 * Math.pow(cut, 1 / 2.4) - 0.055;
        return (int) Math.round(curved * TOP);
    }

    private static double decoded(int part) {
        double curved = part / (double) TOP;
        return curved <= 0.04045 ? curved / 12.92 : Math.pow((curved + 0.055) / 1.055, 2.4);
    }
}
