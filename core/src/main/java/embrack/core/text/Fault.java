package embrack.core.text;

/** Ends the reading of one line; columns are counted from 1. */
public final class Fault extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final int column;
    private final int length;

    public Fault(int column, int length, String words) {
        super(words, null, false, false);
        this.column = column;
        this.length = Math.max(1, length);
    }

    /** The problem that it is, in a line counted from 1. */
    public Problem inLine(int line) {
        return new Problem(Problem.Level.ERROR, line, column, length, String.valueOf(getMessage()));
    }
}
