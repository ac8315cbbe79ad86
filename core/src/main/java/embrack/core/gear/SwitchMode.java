package embrack.core.gear;

/** What a switch sends as it goes down and up. */
public enum SwitchMode {
    /** One value down, another up. */
    MOMENTARY("momentary", "one value down, another up"),
    /** One value, and at the next press the other. */
    ALTERNATING("alternating", "on, and off at the next press"),
    /** The same at every press, nothing on release. */
    ONE_SHOT("one-shot", "the same at every press");

    private final String key;
    private final String words;

    SwitchMode(String key, String words) {
        this.key = key;
        this.words = words;
    }

    /** As manuals and the text of a box call it: "one-shot". */
    public String key() {
        return key;
    }

    /** What it sends, in a sentence: "the same at every press". */
    public String words() {
        return words;
    }
}
