package embrack.paper.print;

import java.util.Locale;

/** What switch cards are printed in. */
public enum Ground {
    /** Dark on light. */
    LIGHT("#000", "#fff"),
    /** Light on dark, for a stage on which nothing may shine. */
    DARK("#fff", "#000");

    private final String ink;
    private final String paper;

    Ground(String ink, String paper) {
        this.ink = ink;
        this.paper = paper;
    }

    String ink() {
        return ink;
    }

    String paper() {
        return paper;
    }

    /** As a word in an address. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The ground of a key; light for one that there is not. */
    public static Ground of(String key) {
        return key.equals(DARK.key()) ? DARK : LIGHT;
    }
}
