package embrack.core.music;

/**
 * A place in music, whatever the tempo.
 *
 * @param bar counted from 1
 * @param tick from the start of the bar, {@link #TICKS_PER_QUARTER} to the quarter note; 0 or more
 */
public record Position(int bar, int tick) implements Comparable<Position> {

    /** What music is counted in: divides by 2, 3, 4, 5, 6, 8, 12, 15, 16. */
    public static final int TICKS_PER_QUARTER = 960;

    public static final Position START = new Position(1, 0);

    public Position {
        if (bar < 1 || tick < 0) {
            throw new IllegalArgumentException(
                    "Bars are counted from 1 and ticks from 0, was bar %d, tick %d.".formatted(bar, tick));
        }
    }

    /** The start of a bar. */
    public static Position bar(int bar) {
        return new Position(bar, 0);
    }

    @Override
    public int compareTo(Position other) {
        return bar != other.bar ? Integer.compare(bar, other.bar) : Integer.compare(tick, other.tick);
    }
}
