package embrack.core.light;

/**
 * Where a fixture hangs or stands.
 *
 * @param across centimetres from the middle of the stage, to the right as the house sees it, −3000 to 3000
 * @param deep centimetres from the edge of the stage, to the back, −1000 to 3000; in front of the edge below 0
 * @param high centimetres above the stage, 0 to 2000
 */
public record Hang(int across, int deep, int high) {

    /** Above the middle, 3 m deep and 4 m high. */
    public static final Hang MIDDLE = new Hang(0, 300, 400);

    public Hang {
        if (Math.abs(across) > 3000 || deep < -1000 || deep > 3000 || high < 0 || high > 2000) {
            throw new IllegalArgumentException("A fixture hangs at most 30 m beside the middle, from 10 m in front of "
                    + "the edge to 30 m behind it, 0 to 20 m high.");
        }
    }

    /** How far another is away, in a straight line, centimetres. */
    double apart(Hang other) {
        return Math.sqrt(
                Math.pow(across - other.across, 2) + Math.pow(deep - other.deep, 2) + Math.pow(high - other.high, 2));
    }
}
