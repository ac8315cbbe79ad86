package embrack.app.frame;

import java.util.Locale;

/** The rooms that exist, in the order of the work. */
public enum Room {
    GEAR,
    WIRING,
    LIGHTS,
    SWITCHES,
    SONGS,
    ORDER,
    PREFLIGHT,
    RUN,
    FOLDER,
    LINE,
    LOG;

    /** The last part of the room's path, and what its words are known by. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }
}
