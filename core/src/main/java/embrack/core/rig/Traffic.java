package embrack.core.rig;

import embrack.core.midi.Message;
import embrack.core.midi.MessageType;

/** Sorts of message that a box passes on or keeps back together. */
public enum Traffic {
    NOTES("notes"),
    CONTROLS("control changes and bends"),
    PROGRAMS("program changes"),
    SYNC("clock, time code and transport"),
    SYSTEM("system exclusive");

    private final String words;

    Traffic(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** The sort that a message is of. */
    public static Traffic of(Message message) {
        return of(message.type());
    }

    /** The sort that messages of a type are of. */
    public static Traffic of(MessageType type) {
        return switch (type) {
            case NOTE_OFF, NOTE_ON, POLY_PRESSURE -> NOTES;
            case CONTROL_CHANGE, CHANNEL_PRESSURE, PITCH_BEND -> CONTROLS;
            case PROGRAM_CHANGE -> PROGRAMS;
            case QUARTER_FRAME, SONG_POSITION, SONG_SELECT, CLOCK, START, CONTINUE, STOP -> SYNC;
            case SYSTEM_EXCLUSIVE, TUNE_REQUEST, ACTIVE_SENSING, RESET -> SYSTEM;
        };
    }
}
