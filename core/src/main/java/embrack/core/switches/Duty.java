package embrack.core.switches;

/** What a switch is for in the show as a whole, where where it lies matters. */
public enum Duty {
    /** Starts what the audience sees next. */
    GO("go"),
    /** Stops everything that plays, at once. */
    KILL("kill switch"),
    /** Brings every box into its safe state. */
    SAFE("make safe");

    private final String words;

    Duty(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
