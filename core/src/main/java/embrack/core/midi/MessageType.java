package embrack.core.midi;

/**
 * The channel messages of MIDI 1.0 with their status nibble and number of data bytes.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, table I, "Summary of status bytes".
 */
public enum MessageType {
    NOTE_OFF(0x8, 2, "note off"),
    NOTE_ON(0x9, 2, "note"),
    POLY_PRESSURE(0xA, 2, "key pressure"),
    CONTROL_CHANGE(0xB, 2, "CC"),
    PROGRAM_CHANGE(0xC, 1, "PC"),
    CHANNEL_PRESSURE(0xD, 1, "channel pressure"),
    PITCH_BEND(0xE, 2, "pitch bend");

    private final int nibble;
    private final int dataBytes;
    private final String shortName;

    MessageType(int nibble, int dataBytes, String shortName) {
        this.nibble = nibble;
        this.dataBytes = dataBytes;
        this.shortName = shortName;
    }

    /** The status byte on a channel, 0x80 to 0xEF. */
    public int status(Channel channel) {
        return nibble << 4 | channel.wire();
    }

    /** How many data bytes follow the status byte, 1 or 2. */
    public int dataBytes() {
        return dataBytes;
    }

    /** The name players use, short enough for a table: "CC", "PC", "note". */
    public String shortName() {
        return shortName;
    }

    /** The name in a sentence, plural: "control changes". */
    public String plural() {
        return switch (this) {
            case NOTE_OFF -> "note-offs";
            case NOTE_ON -> "notes";
            case POLY_PRESSURE -> "key pressures";
            case CONTROL_CHANGE -> "control changes";
            case PROGRAM_CHANGE -> "program changes";
            case CHANNEL_PRESSURE -> "channel pressures";
            case PITCH_BEND -> "pitch bends";
        };
    }
}
