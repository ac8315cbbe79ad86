package embrack.paper.page;

/**
 * A sentence.
 *
 * @param key what it is about, by which it is ticked; empty for what is only to be known
 * @param was what it said when it was ticked, if it says something else now
 */
public record Line(String key, String words, Tick tick, String was, Change change) {

    /** What stands before it. */
    public enum Tick {
        NONE,
        OPEN,
        DONE
    }

    /** Something to know. */
    public static Line of(String words) {
        return new Line("", words, Tick.NONE, "", Change.NONE);
    }

    /** Something to do. */
    public static Line todo(String key, String words) {
        return new Line(key, words, Tick.OPEN, "", Change.NONE);
    }

    public Line with(Change other) {
        return new Line(key, words, tick, was, other);
    }
}
