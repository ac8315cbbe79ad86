package embrack.core.gear;

/** Shapes of socket; a cable joins two of the same shape. */
public enum Connector {
    FIVE_PIN("5-pin");

    private final String words;

    Connector(String words) {
        this.words = words;
    }

    /** The name on a cable list: "5-pin". */
    public String words() {
        return words;
    }
}
