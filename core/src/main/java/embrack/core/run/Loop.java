package embrack.core.run;

/**
 * Something that was recorded in a run and goes round.
 *
 * @param since when it began, microseconds of the run
 * @param lengthMicros how long one round is; 0 while it is recorded for the first time
 */
public record Loop(long since, long lengthMicros) {

    /** Whether it is recorded for the first time still. */
    public boolean isOpen() {
        return lengthMicros == 0;
    }

    Loop closed(long now) {
        return new Loop(since, Math.max(1, now - since));
    }
}
