package embrack.app.store.crew;

/**
 * Identifies a crew in the database.
 *
 * @param number 1 or more
 */
public record CrewId(long number) implements Comparable<CrewId> {

    /** The crew that was there before anybody had an account. */
    public static final CrewId FIRST = new CrewId(1);

    public CrewId {
        if (number < 1) {
            throw new IllegalArgumentException("a crew's number is 1 or more, was " + number);
        }
    }

    /** The id that a path names; Spring converts with it. */
    public static CrewId of(String text) {
        return new CrewId(Long.parseLong(text));
    }

    @Override
    public int compareTo(CrewId other) {
        return Long.compare(number, other.number);
    }

    @Override
    public String toString() {
        return String.valueOf(number);
    }
}
