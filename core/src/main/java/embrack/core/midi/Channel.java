package embrack.core.midi;

import java.util.stream.IntStream;

/**
 * A MIDI channel as printed on gear, 1 to 16; the wire carries one less.
 *
 * @param number 1 to 16
 */
public record Channel(int number) implements Comparable<Channel> {

    public static final int FIRST = 1;
    public static final int LAST = 16;

    private static final Channel[] ALL =
            IntStream.rangeClosed(FIRST, LAST).mapToObj(Channel::new).toArray(Channel[]::new);

    public Channel {
        if (number < FIRST || number > LAST) {
            throw new IllegalArgumentException("MIDI channel must be 1 to 16, was " + number);
        }
    }

    /**
     * The channel that a status byte names.
     *
     * @param nibble low half of a status byte, 0 to 15
     */
    public static Channel ofWire(int nibble) {
        return ALL[nibble];
    }

    /** The low half of a status byte on this channel, 0 to 15. */
    public int wire() {
        return number - 1;
    }

    @Override
    public int compareTo(Channel other) {
        return Integer.compare(number, other.number);
    }
}
