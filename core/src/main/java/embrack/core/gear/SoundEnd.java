package embrack.core.gear;

/**
 * One channel of a socket for sound.
 *
 * @param channel counted from 1; of two sides the left is 1
 */
public record SoundEnd(PortId port, int channel) implements Comparable<SoundEnd> {

    public SoundEnd {
        if (channel < 1 || channel > Signal.MOST) {
            throw new IllegalArgumentException("a channel is 1 to %d, was %d".formatted(Signal.MOST, channel));
        }
    }

    /**
     * Reads what {@link #key()} wrote.
     *
     * @throws IllegalArgumentException when it is none
     */
    public static SoundEnd parse(String key) {
        int stroke = key.indexOf('/');
        return stroke < 0
                ? new SoundEnd(new PortId(key), 1)
                : new SoundEnd(new PortId(key.substring(0, stroke)), Integer.parseInt(key.substring(stroke + 1)));
    }

    /** In links and files: {@code loom/3}; of a socket of one channel {@code input-1}. */
    public String key() {
        return channel == 1 ? port.text() : port.text() + "/" + channel;
    }

    @Override
    public int compareTo(SoundEnd other) {
        int ports = port.compareTo(other.port);
        return ports != 0 ? ports : Integer.compare(channel, other.channel);
    }

    @Override
    public String toString() {
        return key();
    }
}
