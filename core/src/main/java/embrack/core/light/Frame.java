package embrack.core.light;

import java.util.Arrays;

/** What one universe is sent at once: 512 slots of 0 to 255 (ANSI E1.11). Never changes. */
public final class Frame {

    /** The shortest time from one full frame to the next, as E1.11 has it: break, mark, start code and 512 slots. */
    public static final int MIN_MICROS = 92 + 12 + (Mode.MAX_SLOTS + 1) * 44;

    /** All slots at 0. */
    public static final Frame DARK = new Frame(new byte[Mode.MAX_SLOTS]);

    private final byte[] slots;

    private Frame(byte[] slots) {
        this.slots = slots;
    }

    /** A frame of slots, the first of which has address 1; those that are missing stand at 0. */
    static Frame of(byte[] slots) {
        return new Frame(Arrays.copyOf(slots, Mode.MAX_SLOTS));
    }

    /**
     * A frame as it was received.
     *
     * @param from where slot 1 lies
     * @param count how many slots came, 0 to 512
     */
    public static Frame received(byte[] bytes, int from, int count) {
        return of(Arrays.copyOfRange(bytes, from, from + count));
    }

    /** What a slot stands at, 0 to 255; {@code address} is 1 to 512. */
    public int at(int address) {
        return slots[address - 1] & 0xFF;
    }

    /** Writes all 512 slots into a packet. */
    public void copyInto(byte[] packet, int from) {
        System.arraycopy(slots, 0, packet, from, slots.length);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Frame that && Arrays.equals(slots, that.slots);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(slots);
    }
}
