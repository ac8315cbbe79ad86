package embrack.core.run;

import java.util.SortedSet;
import java.util.TreeSet;

/**
 * Where the night is.
 *
 * @param part which part of the order, from 0
 * @param origin while it goes: when its time was 0, that is bar 1 of a song in this round; while it waits: since when,
 *     or when it is to begin; while it is held: how far it was; all in microseconds of the run
 * @param round where in the song it is
 * @param extraMicros how much longer than planned it takes
 * @param called how it was pressed for
 */
record Playhead(int part, Mode mode, long origin, Round round, long extraMicros, Called called) {

    /** How it goes on. */
    enum Mode {
        /** It has not begun. */
        WAITS,
        GOES,
        /** It is held until it plays on. */
        HELD,
        /** It was stopped before its end. */
        STOPPED,
        /** The order is over. */
        OVER
    }

    /**
     * One time through a section.
     *
     * @param section of the song, from 0
     * @param pass which time it plays, from 1
     * @param next the first beat of the song that has not come yet
     * @param early beats of this round that somebody pressed before their time
     * @param again whether this section is played once more
     * @param released whether what goes round was let go
     */
    record Round(int section, int pass, int next, SortedSet<Integer> early, boolean again, boolean released) {

        static Round first(int section, int next) {
            return new Round(section, 1, next, new TreeSet<>(), false, false);
        }
    }

    /**
     * How often somebody pressed for it to begin.
     *
     * @param micros when it was pressed for first, microseconds of the run; -1 while nobody has
     */
    record Called(long micros, int times) {

        static final Called NEVER = new Called(-1, 0);
    }

    static Playhead waiting(int part, long since) {
        return new Playhead(part, Mode.WAITS, since, Round.first(0, 0), 0, Called.NEVER);
    }

    static Playhead going(int part, long origin, int section, int next) {
        return new Playhead(part, Mode.GOES, origin, Round.first(section, next), 0, Called.NEVER);
    }

    int section() {
        return round.section();
    }

    int pass() {
        return round.pass();
    }

    int next() {
        return round.next();
    }

    SortedSet<Integer> early() {
        return round.early();
    }

    Playhead in(Mode other, long at) {
        return new Playhead(part, other, at, round, extraMicros, called);
    }

    private Playhead with(Round other) {
        return new Playhead(part, mode, origin, other, extraMicros, called);
    }

    Playhead calledAt(long at) {
        Called once = new Called(called.micros() < 0 ? at : called.micros(), called.times() + 1);
        return new Playhead(part, mode, origin, round, extraMicros, once);
    }

    Playhead longer(long micros) {
        return new Playhead(part, mode, origin, round, extraMicros + micros, called);
    }

    /** Past a beat. */
    Playhead past() {
        SortedSet<Integer> left = early().isEmpty() ? early() : new TreeSet<>(early().tailSet(next() + 1));
        return with(new Round(section(), pass(), next() + 1, left, round.again(), round.released()));
    }

    Playhead pressedEarly(int beat) {
        SortedSet<Integer> more = new TreeSet<>(early());
        more.add(beat);
        return with(new Round(section(), pass(), next(), more, round.again(), round.released()));
    }

    /** In the next section, the first time. */
    Playhead inSection(int other) {
        return with(new Round(other, 1, next(), early(), false, false));
    }

    /** In the same section once more. */
    Playhead once(long laterMicros, int first) {
        Round more = new Round(section(), pass() + 1, first, new TreeSet<>(), false, round.released());
        return with(more).in(mode, origin + laterMicros);
    }

    Playhead onceMore() {
        return with(new Round(section(), pass(), next(), early(), true, round.released()));
    }

    Playhead letGo() {
        return with(new Round(section(), pass(), next(), early(), false, true));
    }
}
