package embrack.app.store;

/**
 * Identifies a rig in the database.
 *
 * @param number 1 or more
 */
public record RigId(long number) implements Comparable<RigId> {

    public RigId {
        if (number < 1) {
            throw new IllegalArgumentException("a rig's number is 1 or more, was " + number);
        }
    }

    /** The id that a path names; Spring converts with it. */
    public static RigId of(String text) {
        return new RigId(Long.parseLong(text));
    }

    @Override
    public int compareTo(RigId other) {
        return Long.compare(number, other.number);
    }

    @Override
    public String toString() {
        return String.valueOf(number);
    }
}
