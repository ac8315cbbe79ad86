package embrack.core.gear;

import java.util.Locale;
import java.util.Optional;

/** Kinds of gear, by the job they do. */
public enum Kind {
    FLOOR_BOARD("floor board", "Board"),
    FADER_BOX("fader box", "Faders"),
    KEYBOARD("keyboard or pads", "Keys"),
    TRACK_PLAYER("track player", "Tracks"),
    INSTRUMENT_HOST("instrument host", "Instruments"),
    LOOPER("loop station", "Loops"),
    SOUND_SWITCHER("sound switcher", "Sounds"),
    MIXER("mixer", "Mixer"),
    LIGHT_DESK("lighting desk", "Lights"),
    PICTURES("words and pictures", "Screens"),
    INTERFACE("interface", ""),
    PLAYBACK_PAIR("playback interface", ""),
    HOST("computer or tablet", ""),
    SUPPLY("power supply", ""),
    SOUND_SOURCE("microphone or instrument", ""),
    SOUND_BOX("DI, split or loom", ""),
    LISTENING("ears and loudspeakers", "");

    private final String words;
    private final String job;

    Kind(String words, String job) {
        this.words = words;
        this.job = job;
    }

    /** What a box of this kind is called by its job where nobody says otherwise; empty where its model says more. */
    public Optional<String> usualJob() {
        return Optional.of(job).filter(name -> !name.isEmpty());
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
