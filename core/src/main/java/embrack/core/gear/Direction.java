package embrack.core.gear;

/** Which way messages pass a socket, seen from its box. */
public enum Direction {
    /** Takes messages in. */
    IN(false),
    /** Sends what the box itself makes. */
    OUT(true),
    /** Sends on, unchanged, everything that comes in at the box's inputs. */
    THRU(true);

    private final boolean sending;

    Direction(boolean sending) {
        this.sending = sending;
    }

    /** Whether messages leave the box here. */
    public boolean isSending() {
        return sending;
    }
}
