package embrack.core.chart;

import embrack.core.midi.DataByte;

/**
 * Which values of a message a line of a chart is about.
 *
 * @param sends the value that is sent, {@code low} to {@code high}
 * @param low the lowest that the box takes for it, 0 to 127
 * @param high the highest, from {@code low} to 127
 */
public record Values(int sends, int low, int high) {

    public Values {
        DataByte.checked("value", low);
        DataByte.checked("value", high);
        if (low > high) {
            throw new IllegalArgumentException("values run from low to high, was %d to %d".formatted(low, high));
        }
        if (sends < low || sends > high) {
            throw new IllegalArgumentException(
                    "the value sent must be one that the box takes, %d to %d, was %d".formatted(low, high, sends));
        }
    }

    /** One value and no other. */
    public static Values exactly(int value) {
        return new Values(value, value, value);
    }

    /** A range of values; of those that mean the same, the one farthest from the middle is sent. */
    public static Values between(int low, int high) {
        return new Values(low == 0 && high < DataByte.MAX ? low : high, low, high);
    }

    /** The same values, with another of them sent. */
    public Values sending(int other) {
        return new Values(other, low, high);
    }

    public boolean holds(int value) {
        return value >= low && value <= high;
    }
}
