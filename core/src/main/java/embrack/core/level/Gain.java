package embrack.core.level;

/**
 * By how much a sound grows, as a factor of its voltage; below 0 where its polarity is turned round.
 * Decibels: 20 log10 of the factor (IEC 60027-3, ISO 80000-3).
 */
public record Gain(double factor) {

    public static final Gain NONE = new Gain(0);
    public static final Gain UNITY = new Gain(1);

    /** Below this nothing is left of a sound: −120 dB. */
    private static final double NOTHING = 1e-6;

    public Gain {
        if (!Double.isFinite(factor)) {
            throw new IllegalArgumentException("a gain is finite, was " + factor);
        }
    }

    /** The gain of so many decibels; of minus infinity none. */
    public static Gain decibels(double decibels) {
        return decibels == Double.NEGATIVE_INFINITY ? NONE : new Gain(Math.pow(10, decibels / 20));
    }

    /** One level against another that counts in straight parts: 200 against 100 is 6.02 dB. */
    public static Gain ratio(double level, double against) {
        return new Gain(level / against);
    }

    /** In decibels, whatever the polarity; minus infinity for nothing. */
    public double decibels() {
        return isSilent() ? Double.NEGATIVE_INFINITY : 20 * Math.log10(Math.abs(factor));
    }

    /** Whether nothing is left that could be heard. */
    public boolean isSilent() {
        return Math.abs(factor) < NOTHING;
    }

    /** One gain after the other. */
    public Gain then(Gain next) {
        return new Gain(factor * next.factor);
    }

    /** Both ways of the same sound meet: equal ones are 6.02 dB louder, opposite ones nothing. */
    public Gain and(Gain other) {
        return new Gain(factor + other.factor);
    }

    /** Two sounds that have nothing in common meet: equal ones are 3.01 dB louder. */
    public Gain beside(Gain other) {
        return new Gain(Math.hypot(factor, other.factor));
    }

    public Gain inverted() {
        return new Gain(-factor);
    }

    /** In words: "−6.0 dB", "silent". */
    public String words() {
        return isSilent() ? "silent" : Law.decibelWords(decibels());
    }
}
