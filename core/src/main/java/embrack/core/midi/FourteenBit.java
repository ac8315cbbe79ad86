package embrack.core.midi;

import java.util.List;

/**
 * Numbers of fourteen bits, 0 to 16383, that travel as two data bytes: high half times 128 plus low half.
 *
 * <p>Source: MIDI 1.0 Detailed Specification: controllers 0 to 31 carry the high half, controllers 32 to 63 the low
 * half of the same value; controllers 0 and 32 select a bank for the program change that follows.
 */
public final class FourteenBit {

    public static final int MAX = 16_383;

    /** Controllers 0 to 31 have a partner that carries the low half. */
    public static final int PARTNER = 32;

    private FourteenBit() {}

    /**
     * The value itself, if it fits.
     *
     * @throws IllegalArgumentException when the value is not 0 to 16383
     */
    public static int checked(String what, int value) {
        if (value < 0 || value > MAX) {
            throw new IllegalArgumentException(what + " must be 0 to 16383, was " + value);
        }
        return value;
    }

    /** The half that counts 128s, 0 to 127. */
    public static int high(int value) {
        return value >> 7;
    }

    /** The half that counts ones, 0 to 127. */
    public static int low(int value) {
        return value & 0x7F;
    }

    /** The value of two halves, each 0 to 127. */
    public static int of(int high, int low) {
        return DataByte.checked("high half", high) << 7 | DataByte.checked("low half", low);
    }

    /**
     * A control of fourteen bits as its two control changes, the high half first.
     *
     * @param controller 0 to 31
     * @param value 0 to 16383
     */
    public static List<Message> controlChanges(Channel channel, int controller, int value) {
        if (controller < 0 || controller >= PARTNER) {
            throw new IllegalArgumentException("a controller of fourteen bits is 0 to 31, was " + controller);
        }
        checked("value", value);
        return List.of(
                new Message.ControlChange(channel, controller, high(value)),
                new Message.ControlChange(channel, controller + PARTNER, low(value)));
    }

    /** A program in a bank: CC 0, CC 32, then the program change. {@code bank} 0 to 16383, {@code program} 0 to 127. */
    public static List<Message> program(Channel channel, int bank, int program) {
        List<Message> select = controlChanges(channel, 0, bank);
        return List.of(select.get(0), select.get(1), new Message.ProgramChange(channel, program));
    }
}
