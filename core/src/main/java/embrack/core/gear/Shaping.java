package embrack.core.gear;

/** What a box can make of the way of a treadle, fader or knob before it sends it. */
public enum Shaping {
    /** Sends 0 to 127, whatever is wanted. */
    NONE("nothing"),
    /** Sends from one value to another. */
    RANGE("range"),
    /** Sends from one value to another, along a curve. */
    CURVE("range and curve");

    private final String words;

    Shaping(String words) {
        this.words = words;
    }

    /** As the end of the words "with ...". */
    public String words() {
        return words;
    }
}
