package embrack.core.level;

/**
 * How a level goes between its ends while a treadle or fader moves evenly. Exponents are common practice, no source.
 */
public enum Curve {
    LINEAR("even", 1),
    SLOW("slow at first", 2),
    FAST("fast at first", 0.5);

    private final String words;
    private final double exponent;

    Curve(String words, double exponent) {
        this.words = words;
        this.exponent = exponent;
    }

    public String words() {
        return words;
    }

    /** The share of the way in the level at a share of the way of the hand or foot; both 0 to 1. */
    public double at(double travelled) {
        return Math.pow(travelled, exponent);
    }
}
