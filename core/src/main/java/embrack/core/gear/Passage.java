package embrack.core.gear;

/**
 * What a way through a box does to the sound.
 *
 * @param decibels how much louder it comes out, −80 to 80 dB
 * @param inverted whether its polarity is turned round
 * @param isolated whether no current passes: the sides share no ground
 * @param tenthsLate how late it comes out, tenths of a millisecond, 0 to 10 000
 * @param send whether people set how much of it passes
 */
public record Passage(double decibels, boolean inverted, boolean isolated, int tenthsLate, Send send) {

    /** Whether a way has a knob or fader of its own. */
    public enum Send {
        /** It has none. */
        FIXED,
        /** It has, and lets through in a new box. */
        OPEN,
        /** It has, and is shut in a new box. */
        SHUT
    }

    /** Through and through, as it came. */
    public static final Passage PLAIN = new Passage(0, false, false, 0, Send.FIXED);

    private static final double MOST = 80;
    private static final int LATEST = 10_000;

    public Passage {
        if (!(Math.abs(decibels) <= MOST)) {
            throw new IllegalArgumentException("a way is \u221280 to 80 dB, was %s".formatted(decibels));
        }
        if (tenthsLate < 0 || tenthsLate > LATEST) {
            throw new IllegalArgumentException("a way is 0 to 1000 ms late, was %s".formatted(tenthsLate / 10.0));
        }
        decibels = decibels == 0 ? 0 : decibels;
    }

    public Passage withDecibels(double other) {
        return new Passage(other, inverted, isolated, tenthsLate, send);
    }

    public Passage thatInverts() {
        return new Passage(decibels, true, isolated, tenthsLate, send);
    }

    public Passage thatIsolates() {
        return new Passage(decibels, inverted, true, tenthsLate, send);
    }

    public Passage thatIsLate(int tenths) {
        return new Passage(decibels, inverted, isolated, tenths, send);
    }

    public Passage with(Send other) {
        return new Passage(decibels, inverted, isolated, tenthsLate, other);
    }
}
