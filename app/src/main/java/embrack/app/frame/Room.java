package embrack.app.frame;

import java.util.Locale;

/** The rooms that exist, in the order of the work. */
public enum Room {
    GEAR("Gear"),
    WIRING("Wiring"),
    SWITCHES("Switches"),
    SONGS("Songs"),
    ORDER("Order"),
    PREFLIGHT("Preflight");

    private final String words;

    Room(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** The last part of the room's path. */
    String path() {
        return words.toLowerCase(Locale.ROOT);
    }
}
