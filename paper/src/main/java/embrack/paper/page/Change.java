package embrack.paper.page;

import java.util.Locale;

/** What happened to a line since it was printed. */
public enum Change {
    NONE,
    /** It was not there, or said something else. */
    NEW,
    /** It is not there any more. */
    GONE;

    /** As a class in a style sheet. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }
}
