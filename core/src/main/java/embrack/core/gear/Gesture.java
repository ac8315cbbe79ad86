package embrack.core.gear;

/** What a foot does to a switch. */
public enum Gesture {
    PRESS("press"),
    RELEASE("release"),
    HOLD("hold"),
    DOUBLE_PRESS("double press");

    private final String words;

    Gesture(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
