package embrack.core.show;

import java.util.Locale;

/** What a folder for the venue can hold, in the order in which it lies there: what is handed out lies last. */
public enum Leaf {
    PROGRAM("What to program"),
    TIMED("Timed messages"),
    TRY("First try of every switch"),
    LIGHTS("Cues for lights"),
    WORDS("Cues for words and pictures"),
    SOUND("Cues, feeds and stems for sound"),
    CONSOLE("Input list of the console"),
    DOORS("At doors and after each song"),
    JOINS("Joins"),
    FAILS("If it fails, and going back"),
    CABLES("Cables, packing and power"),
    PICTURE("Wiring by place"),
    LABELS("Labels to cut"),
    ORDER("Order of the show"),
    PLAYER("Own songs and switches"),
    CARDS("Switch cards");

    private final String words;

    Leaf(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** As a word in a file or a form: {@code switch-on}. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }
}
