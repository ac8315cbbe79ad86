package embrack.core.gear;

/** What a switch sends as it goes down and up. */
public enum SwitchMode {
    /** One value down, another up. */
    MOMENTARY("momentary"),
    /** One value, and at the next press the other. */
    ALTERNATING("alternating"),
    /** The same at every press, nothing on release. */
    ONE_SHOT("one-shot");

    private final String words;

    SwitchMode(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
