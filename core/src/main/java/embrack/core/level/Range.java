package embrack.core.level;

import embrack.core.midi.DataByte;

/**
 * What a whole movement does to one level: from heel to toe, from the bottom of a fader to its top.
 *
 * @param from the level at the heel or bottom, 0 to 127
 * @param to the level at the toe or top, 0 to 127; below {@code from} when it is inverted
 */
public record Range(int from, int to, Curve curve) {

    /** Everything, evenly. */
    public static final Range FULL = new Range(0, DataByte.MAX, Curve.LINEAR);

    public Range {
        DataByte.checked("level at the heel", from);
        DataByte.checked("level at the toe", to);
    }

    /**
     * The level at a position.
     *
     * @param position of the hand or foot, 0 to 127
     */
    public int at(int position) {
        return (int) Math.round(
                from + (to - from) * curve.at(DataByte.checked("position", position) / (double) DataByte.MAX));
    }

    /** The highest level it reaches. */
    public int highest() {
        return Math.max(from, to);
    }

    public boolean isInverted() {
        return to < from;
    }

    /** With no level above a cap. */
    public Range capped(int cap) {
        return new Range(Math.min(from, cap), Math.min(to, cap), curve);
    }

    /** Heel and toe the other way round. */
    public Range inverted() {
        return new Range(to, from, curve);
    }
}
