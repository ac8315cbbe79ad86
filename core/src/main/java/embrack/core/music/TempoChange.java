package embrack.core.music;

/**
 * Another tempo from a position on.
 *
 * @param glides whether it glides to the tempo of the next change, evenly over the beats between; the last one stays
 */
public record TempoChange(Position at, Tempo tempo, boolean glides) {

    /** A tempo that stays until the next. */
    public TempoChange(Position at, Tempo tempo) {
        this(at, tempo, false);
    }
}
