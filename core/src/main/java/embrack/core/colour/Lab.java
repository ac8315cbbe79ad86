package embrack.core.colour;

/**
 * A colour by how it is seen beside daylight: CIE 1976 L*a*b*, ISO/CIE 11664-4.
 *
 * @param l lightness, 0 to 100
 * @param a from green to red
 * @param b from blue to yellow
 */
public record Lab(double l, double a, double b) {

    private static final double DELTA = 6.0 / 29;
    private static final double POW_25_7 = Math.pow(25, 7);

    /** How a light is seen where full daylight counts as white. */
    public static Lab of(Xyz light) {
        double x = curve(light.x() / Xyz.WHITE.x());
        double y = curve(light.y() / Xyz.WHITE.y());
        double z = curve(light.z() / Xyz.WHITE.z());
        return new Lab(116 * y - 16, 500 * (x - y), 200 * (y - z));
    }

    private static double curve(double t) {
        return t > DELTA * DELTA * DELTA ? Math.cbrt(t) : t / (3 * DELTA * DELTA) + 4.0 / 29;
    }

    /**
     * How far two colours are apart for an eye: about 1 is just seen, 5 is seen at once. CIEDE2000, ISO/CIE 11664-6,
     * as written out by Sharma, Wu and Dalal, Color Research and Application 30 (2005), 21-30, equations 2 to 22; all
     * weights 1.
     */
    public double distance(Lab other) {
        double meanChroma = (Math.hypot(a, b) + Math.hypot(other.a, other.b)) / 2;
        double g = 0.5 * (1 - Math.sqrt(seventh(meanChroma)));
        double a1 = (1 + g) * a;
        double a2 = (1 + g) * other.a;
        double c1 = Math.hypot(a1, b);
        double c2 = Math.hypot(a2, other.b);
        double h1 = hue(a1, b);
        double h2 = hue(a2, other.b);
        boolean isGrey = c1 * c2 == 0;
        double turn = isGrey ? 0 : turned(h2 - h1);
        double deltaL = other.l - l;
        double deltaC = c2 - c1;
        double deltaH = 2 * Math.sqrt(c1 * c2) * sin(turn / 2);
        double meanL = (l + other.l) / 2;
        double meanC = (c1 + c2) / 2;
        double meanH = isGrey ? h1 + h2 : meanHue(h1, h2);
        double t = 1
                - 0.17 * cos(meanH - 30)
                + 0.24 * cos(2 * meanH)
                + 0.32 * cos(3 * meanH + 6)
                - 0.20 * cos(4 * meanH - 63);
        double offMiddle = (meanL - 50) * (meanL - 50);
        double byL = deltaL / (1 + 0.015 * offMiddle / Math.sqrt(20 + offMiddle));
        double byC = deltaC / (1 + 0.045 * meanC);
        double byH = deltaH / (1 + 0.015 * meanC * t);
        double bend = 30 * Math.exp(-Math.pow((meanH - 275) / 25, 2));
        double rotation = -sin(2 * bend) * 2 * Math.sqrt(seventh(meanC));
        return Math.sqrt(byL * byL + byC * byC + byH * byH + rotation * byC * byH);
    }

    private static double seventh(double chroma) {
        double power = Math.pow(chroma, 7);
        return power / (power + POW_25_7);
    }

    private static double hue(double a, double b) {
        double degrees = Math.toDegrees(Math.atan2(b, a));
        return degrees < 0 ? degrees + 360 : degrees;
    }

    private static double turned(double degrees) {
        return degrees > 180 ? degrees - 360 : degrees < -180 ? degrees + 360 : degrees;
    }

    private static double meanHue(double h1, double h2) {
        double sum = h1 + h2;
        return Math.abs(h1 - h2) <= 180 ? sum / 2 : sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
    }

    private static double sin(double degrees) {
        return Math.sin(Math.toRadians(degrees));
    }

    private static double cos(double degrees) {
        return Math.cos(Math.toRadians(degrees));
    }
}
