package embrack.core.gear;

/** What a setting holds for. */
public enum Scope {
    /** The whole box. */
    BOX("for the whole box"),
    /** One memory; the next memory has its own. */
    MEMORY("in each memory");

    private final String words;

    Scope(String words) {
        this.words = words;
    }

    /** The scope as it is said: "in each memory". */
    public String words() {
        return words;
    }
}
