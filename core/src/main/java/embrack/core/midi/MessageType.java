package embrack.core.midi;

import java.util.Arrays;
import java.util.List;

/**
 * The messages of MIDI 1.0 with their status bytes and number of data bytes.
 *
 * <p>Source: MIDI 1.0 Detailed Specification, table I, "Summary of status bytes"; tables V and VI for system messages.
 */
public enum MessageType {
    NOTE_OFF(0x80, 2, "note off", "note-offs"),
    NOTE_ON(0x90, 2, "note", "notes"),
    POLY_PRESSURE(0xA0, 2, "key pressure", "key pressures"),
    CONTROL_CHANGE(0xB0, 2, "CC", "control changes"),
    PROGRAM_CHANGE(0xC0, 1, "PC", "program changes"),
    CHANNEL_PRESSURE(0xD0, 1, "channel pressure", "channel pressures"),
    PITCH_BEND(0xE0, 2, "pitch bend", "pitch bends"),
    SYSTEM_EXCLUSIVE(0xF0, -1, "SysEx", "system exclusive messages"),
    QUARTER_FRAME(0xF1, 1, "time code", "time code quarter frames"),
    SONG_POSITION(0xF2, 2, "song position", "song positions"),
    SONG_SELECT(0xF3, 1, "song", "song selects"),
    TUNE_REQUEST(0xF6, 0, "tune request", "tune requests"),
    CLOCK(0xF8, 0, "clock", "clocks"),
    START(0xFA, 0, "start", "starts"),
    CONTINUE(0xFB, 0, "continue", "continues"),
    STOP(0xFC, 0, "stop", "stops"),
    ACTIVE_SENSING(0xFE, 0, "active sensing", "active sensing"),
    RESET(0xFF, 0, "reset", "resets");

    private static final MessageType[] BY_STATUS = new MessageType[256];

    static {
        for (MessageType type : values()) {
            Arrays.fill(BY_STATUS, type.status, type.status + (type.hasChannel() ? 16 : 1), type);
        }
    }

    private final int status;
    private final int dataBytes;
    private final String shortName;
    private final String plural;

    MessageType(int status, int dataBytes, String shortName, String plural) {
        this.status = status;
        this.dataBytes = dataBytes;
        this.shortName = shortName;
        this.plural = plural;
    }

    /**
     * The type that a status byte begins.
     *
     * @param status 0x80 to 0xFF
     * @return at most one: 0xF4, 0xF5, 0xF9 and 0xFD are undefined, and 0xF7 ends a system exclusive message
     */
    public static List<MessageType> ofStatus(int status) {
        MessageType type = BY_STATUS[status];
        return type == null ? List.of() : List.of(type);
    }

    /** The status byte on a channel, 0x80 to 0xEF; for a system message the only one it has. */
    public int status(Channel channel) {
        return hasChannel() ? status | channel.wire() : status;
    }

    /** The status byte with its low half 0 for a channel message: 0x80 to 0xFF. */
    public int status() {
        return status;
    }

    /** Whether messages of this type go to one of sixteen channels. */
    public boolean hasChannel() {
        return status < 0xF0;
    }

    /** Whether it is one byte that may stand inside another message: 0xF8 to 0xFF. */
    public boolean isRealTime() {
        return status >= 0xF8;
    }

    /**
     * How many data bytes follow the status byte, 0 to 2.
     *
     * @throws IllegalStateException for system exclusive, which ends where it ends
     */
    public int dataBytes() {
        if (dataBytes < 0) {
            throw new IllegalStateException("a system exclusive message has no fixed length");
        }
        return dataBytes;
    }

    /** The name players use, short enough for a table: "CC", "PC", "note". */
    public String shortName() {
        return shortName;
    }

    /** The name in a sentence, plural: "control changes". */
    public String plural() {
        return plural;
    }
}
