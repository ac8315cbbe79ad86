package embrack.core.midi;

/** The seven bits that a MIDI data byte holds, 0 to 127 (MIDI 1.0, "Data Bytes"). */
public final class DataByte {

    public static final int MAX = 127;

    private DataByte() {}

    /**
     * The value itself, if it fits.
     *
     * @param what what the value is, for the message: "controller", "velocity"
     * @throws IllegalArgumentException when the value is not 0 to 127
     */
    public static int checked(String what, int value) {
        if (value < 0 || value > MAX) {
            throw new IllegalArgumentException(what + " must be 0 to 127, was " + value);
        }
        return value;
    }
}
