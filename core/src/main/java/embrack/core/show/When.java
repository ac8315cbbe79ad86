package embrack.core.show;

import java.util.Locale;

/** What a player does, as the moment of an automatic cue. */
public enum When {
    LOAD,
    PLAY,
    STOP,
    /** Goes on from where it was paused. */
    CONTINUE,
    LOOP;

    /** In a sentence: "on load". */
    public String words() {
        return "on " + name().toLowerCase(Locale.ROOT);
    }
}
