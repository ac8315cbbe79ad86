package embrack.core.gear;

import java.util.Locale;

/** What hands and feet move on a box, other than the switches of a {@link Board}. */
public enum ControlType {
    KNOB("knob"),
    FADER("fader"),
    BUTTON("button"),
    PAD("pad"),
    TREADLE("expression pedal"),
    KEY("key");

    private final String words;

    ControlType(String words) {
        this.words = words;
    }

    /** Whether a hand or foot moves it through a range, so that it can move levels. */
    public boolean isSwept() {
        return this == KNOB || this == FADER || this == TREADLE;
    }

    /** The control in a sentence, one of it: "fader". */
    public String words() {
        return words;
    }

    /** The control in files and links: {@code treadle}. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The control in texts, several of it: {@code faders}. */
    public String plural() {
        return key() + "s";
    }
}
