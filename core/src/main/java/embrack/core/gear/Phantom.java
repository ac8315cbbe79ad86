package embrack.core.gear;

/** What a socket has to do with 48 V on a microphone lead (phantom power, IEC 61938, from memory). */
public enum Phantom {
    NONE(""),
    /** An input that can switch it on. */
    GIVES("gives 48 V"),
    /** An output that is silent without it. */
    NEEDS("needs 48 V"),
    /** An output that it can spoil. */
    HARMED("harmed by 48 V");

    private final String words;

    Phantom(String words) {
        this.words = words;
    }

    /** As the text of a box has it; empty for nothing. */
    public String words() {
        return words;
    }
}
