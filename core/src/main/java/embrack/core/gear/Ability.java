package embrack.core.gear;

import java.util.Locale;

/** Something that a box does only while a setting is as it has to be. */
public enum Ability {
    /** What it makes itself leaves it, and what it passes on. */
    SENDS,
    /** It sends clock, so that others follow its tempo. */
    SENDS_CLOCK,
    /** It takes in what comes for its own tracks and sounds, and passes it on. */
    HEARS_NOTES,
    /** It obeys its chart, but for clock and transport. */
    HEARS_REMOTE,
    /** It follows clock, time code and transport. */
    HEARS_SYNC,
    /** When the one of a pair that hangs on it fails, it brings in the other by itself. */
    FAILS_OVER;

    /** As the text of a box has it: "hears notes". */
    public String words() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
