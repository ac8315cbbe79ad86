package embrack.core.light;

/**
 * A fixture that cannot quite show what a look asks of it.
 *
 * @param distance how far its colour is from the one that was asked for, CIEDE2000
 * @param isSteady whether it should flash and cannot, in the mode that it is set to
 */
public record Shortfall(Fixture fixture, double distance, boolean isSteady) {

    /** A distance that is seen at once, CIEDE2000; common practice, no source. */
    public static final double SEEN_AT_ONCE = 5;
}
