package embrack.core.gear;

import java.util.Locale;

/** Kinds of gear, by the job they do. */
public enum Kind {
    FLOOR_BOARD("floor board"),
    FADER_BOX("fader box"),
    KEYBOARD("keyboard or pads"),
    TRACK_PLAYER("track player"),
    INSTRUMENT_HOST("instrument host"),
    LOOPER("loop station"),
    SOUND_SWITCHER("sound switcher"),
    MIXER("mixer"),
    LIGHT_DESK("lighting desk"),
    PICTURES("words and pictures"),
    INTERFACE("interface"),
    PLAYBACK_PAIR("playback interface"),
    HOST("computer or tablet"),
    SUPPLY("power supply");

    private final String words;

    Kind(String words) {
        this.words = words;
    }

    /** The kind in a sentence: "floor board". */
    public String words() {
        return words;
    }

    /** The kind in files: {@code floor-board}. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
