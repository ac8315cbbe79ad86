package embrack.core.gear;

/** Which way messages pass a socket, seen from its box. */
public enum Direction {
    /** Takes messages in. */
    IN("in", false),
    /** Sends what the box itself makes. */
    OUT("out", true),
    /** Sends on, unchanged, everything that comes in at the box's inputs. */
    THRU("thru", true),
    /** Takes in and sends, as USB, Bluetooth and networks do. */
    BOTH("both ways", true);

    private final String words;
    private final boolean sending;

    Direction(String words, boolean sending) {
        this.words = words;
        this.sending = sending;
    }

    /** The direction as it is said: "in", "both ways". */
    public String words() {
        return words;
    }

    /** Whether messages leave the box here. */
    public boolean isSending() {
        return sending;
    }

    /** Whether messages come in here. */
    public boolean isReceiving() {
        return this == IN || this == BOTH;
    }
}
