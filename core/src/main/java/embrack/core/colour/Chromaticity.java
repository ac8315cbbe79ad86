package embrack.core.colour;

/**
 * A place in the CIE 1931 picture of colours, whatever its strength.
 *
 * @param x 0 to 1
 * @param y above 0, at most 1; both together at most 1
 */
public record Chromaticity(double x, double y) {

    public Chromaticity {
        if (!(x >= 0 && y > 0 && x + y <= 1)) {
            throw new IllegalArgumentException(
                    "In the CIE picture x is 0 or more, y above 0, both together at most 1; x %s and y %s are none."
                            .formatted(x, y));
        }
    }

    /** Light of this colour with a luminance. */
    public Xyz at(double luminance) {
        return new Xyz(luminance * x / y, luminance, luminance * (1 - x - y) / y);
    }

    /** The strongest light of this colour that a screen can show, what lies outside its triangle left as it is. */
    public Xyz brightest() {
        Xyz one = at(1);
        return one.times(1 / Srgb.linear(one).max());
    }
}
