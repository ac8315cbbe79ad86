package embrack.core.chart;

import embrack.core.midi.DataByte;
import java.util.Optional;

/**
 * What a box makes of the value of a message that was assigned to one of its functions. A function is worked by the
 * upper half of the values, common practice, no source.
 *
 * @param alternating whether each press takes the other of the two values in turn; else they follow the message
 * @param low what the function gets at value 0, 0 to 127; at every second press, where it alternates
 * @param high what the function gets at value 127, 0 to 127
 */
public record Response(boolean alternating, int low, int high) {

    /** The value itself, as of a message that was not assigned but is in the box from the factory. */
    public static final Response PLAIN = new Response(false, 0, DataByte.MAX);

    /** Values from here on work a function. */
    public static final int ON = 64;

    public Response {
        DataByte.checked("low value", low);
        DataByte.checked("high value", high);
    }

    /**
     * Whether a message works the function.
     *
     * @param value of the message, 0 to 127
     * @param pressesBefore how many messages of the upper half came before it
     */
    boolean acts(int value, int pressesBefore) {
        int out = alternating ? pressesBefore % 2 == 0 ? high : low : value >= ON ? high : low;
        return out >= ON && (!alternating || value >= ON);
    }

    /** The level that a message sets. */
    int level(int value) {
        return low + (int) Math.round((high - low) * value / (double) DataByte.MAX);
    }

    /** The value that sets a level; empty when no value does. */
    Optional<Integer> valueFor(int level) {
        for (int value = 0; value <= DataByte.MAX; value++) {
            if (level(value) == level) {
                return Optional.of(value);
            }
        }
        return Optional.empty();
    }
}
