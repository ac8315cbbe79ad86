package embrack.core.line;

import java.util.HexFormat;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What came while somebody moved a control, as far as it tells whether it is in order.
 *
 * @param low which of the values 0 to 63 came, a bit each
 * @param high which of 64 to 127
 * @param first the value that came first
 * @param turns how often it turned round after half of its way or more
 * @param peak the farthest value since it turned last
 * @param isUp whether it goes up since then
 * @param flutter by how much it went to and fro while nobody moved it
 * @param rest the values that lie together now
 */
public record Swept(long low, long high, int first, int turns, int peak, boolean isUp, int flutter, Rest rest) {

    /** So far back is a turn. Common practice, no source. */
    private static final int HALF = 48;

    /** Values that lie so near together for so long are a control that is left alone. Common practice, no source. */
    private static final int NEAR = 3;

    private static final long LONG_MICROS = 800_000;
    private static final int FLIPS = 4;

    private static final Pattern WRITTEN =
            Pattern.compile("swept ([0-9a-f]{16}) ([0-9a-f]{16}) (\\d{1,3}) (\\d{1,6}) (\\d{1,3})");

    /**
     * Values near together.
     *
     * @param sinceMicros when the first of them came
     * @param flips how often they changed their direction
     */
    record Rest(long sinceMicros, int least, int greatest, int last, int flips, boolean wasUp) {

        private static Rest at(long micros, int value) {
            return new Rest(micros, value, value, value, 0, true);
        }

        private Rest with(long micros, int value) {
            int lower = Math.min(least, value);
            int upper = Math.max(greatest, value);
            if (upper - lower > NEAR) {
                return at(micros, value);
            }
            boolean up = value > last;
            boolean flips = value != last && up != wasUp;
            return new Rest(sinceMicros, lower, upper, value, this.flips + (flips ? 1 : 0), value == last ? wasUp : up);
        }
    }

    /** The first value. */
    static Swept beginning(long micros, int value) {
        return new Swept(0, 0, value, 0, value, true, 0, Rest.at(micros, value)).seen(value);
    }

    /**
     * With one more value.
     *
     * @param isOneOfMany whether others came between it and the one before that were not told
     */
    Swept with(long micros, int value, boolean isOneOfMany) {
        Swept wider = seen(value);
        if (isOneOfMany) {
            int last = rest.last();
            for (int between = Math.min(last, value); between <= Math.max(last, value); between++) {
                wider = wider.seen(between);
            }
        }
        boolean turned = isUp ? value <= peak - HALF : value >= peak + HALF;
        boolean farther = isUp ? value > peak : value < peak;
        Rest now = rest.with(micros, value);
        boolean alone = micros - now.sinceMicros() >= LONG_MICROS && now.flips() >= FLIPS;
        return new Swept(
                wider.low,
                wider.high,
                first,
                turns + (turned ? 1 : 0),
                turned || farther ? value : peak,
                turned != isUp,
                alone ? Math.max(flutter, now.greatest() - now.least()) : flutter,
                now);
    }

    private Swept seen(int value) {
        return new Swept(
                value < 64 ? low | 1L << value : low,
                value < 64 ? high : high | 1L << value - 64,
                first,
                turns,
                peak,
                isUp,
                flutter,
                rest);
    }

    /** The least value that came. */
    public int least() {
        return low != 0 ? Long.numberOfTrailingZeros(low) : 64 + Long.numberOfTrailingZeros(high);
    }

    /** The greatest value that came. */
    public int greatest() {
        return high != 0 ? 127 - Long.numberOfLeadingZeros(high) : 63 - Long.numberOfLeadingZeros(low);
    }

    private boolean has(int value) {
        return (value < 64 ? low >>> value : high >>> value - 64) % 2 != 0;
    }

    /** Where the longest run of values begins that lie between others and never came; empty where none is that long. */
    OptionalInt gap(int longest) {
        int run = 0;
        for (int value = least(); value <= greatest(); value++) {
            run = has(value) ? 0 : run + 1;
            if (run >= longest) {
                return OptionalInt.of(value - run + 1);
            }
        }
        return OptionalInt.empty();
    }

    /** The first value above another one that came. */
    int nextAbove(int value) {
        int next = value;
        while (next < 127 && !has(next)) {
            next++;
        }
        return next;
    }

    /** What came, in one line. */
    public String written() {
        return "swept %s %s %d %d %d"
                .formatted(HexFormat.of().toHexDigits(low), HexFormat.of().toHexDigits(high), first, turns, flutter);
    }

    /** What {@link #written()} wrote; empty when it is none of its lines. */
    public static Optional<Swept> parse(String line) {
        Matcher read = WRITTEN.matcher(line);
        if (!read.matches()) {
            return Optional.empty();
        }
        int first = Integer.parseInt(read.group(3));
        Swept swept = new Swept(
                HexFormat.fromHexDigitsToLong(read.group(1)),
                HexFormat.fromHexDigitsToLong(read.group(2)),
                first,
                Integer.parseInt(read.group(4)),
                first,
                true,
                Integer.parseInt(read.group(5)),
                Rest.at(0, first));
        return swept.low == 0 && swept.high == 0 ? Optional.empty() : Optional.of(swept);
    }
}
