package embrack.core.colour;

/**
 * Light as three numbers of the CIE 1931 standard observer. Lights add up, each number by itself.
 *
 * @param y luminance, as a share of what counts as full, 0 or more
 */
public record Xyz(double x, double y, double z) {

    /** No light. */
    public static final Xyz DARK = new Xyz(0, 0, 0);

    /** Full white of daylight, CIE illuminant D65, 2 degrees: x 0.3127, y 0.3290 (IEC 61966-2-1). */
    public static final Xyz WHITE = new Chromaticity(0.3127, 0.3290).at(1);

    /** Both lights at one place. */
    public Xyz plus(Xyz other) {
        return new Xyz(x + other.x, y + other.y, z + other.z);
    }

    /** The same light, so many times as strong. */
    public Xyz times(double factor) {
        return new Xyz(x * factor, y * factor, z * factor);
    }

    /** Its place in the CIE picture; that of daylight where there is no light. */
    public Chromaticity chromaticity() {
        double sum = x + y + z;
        return sum <= 0 ? WHITE.chromaticity() : new Chromaticity(x / sum, y / sum);
    }
}
