package embrack.core.text;

/**
 * Something about a text that a person types.
 *
 * @param line counted from 1
 * @param column of its first character, counted from 1
 * @param length how many characters it is about, 1 or more
 * @param words what is wrong or worth a question, and what to do
 */
public record Problem(Level level, int line, int column, int length, String words) implements Comparable<Problem> {

    /** How much a problem matters. */
    public enum Level {
        /** It cannot be read. */
        ERROR,
        /** It can be read and is probably not meant. */
        LOOK,
        /** Worth knowing. */
        NOTE
    }

    @Override
    public int compareTo(Problem other) {
        int byLine = Integer.compare(line, other.line);
        return byLine != 0 ? byLine : Integer.compare(column, other.column);
    }

    @Override
    public String toString() {
        return "line %d, column %d: %s".formatted(line, column, words);
    }
}
