package embrack.core.run;

import java.util.SortedSet;
import java.util.TreeSet;

/**
 * Where the night is.
 *
 * @param part which part of the order, from 0
 * @param origin while it goes: when its time was 0, that is bar 1 of a song in this round; while it waits: since when,
 *     or when it is to begin; while it is held: how far it was; all in microseconds of the run
 * @param section the section of the song that plays, from 0
 * @param pass which time it plays, from 1
 * @param next the first beat of the song that has not come yet
 * @param early beats of this round that somebody pressed before their time
 * @param again whether this section is played once more
 * @param released whether what goes round was let go
 * @param extraMicros how much longer than planned it takes
 * @param calledMicros when somebody pressed for it to begin; -1 while nobody has
 * @param calls how often somebody pressed for it
 */
record Playhead(
        int part,
        Mode mode,
        long origin,
        int section,
        int pass,
        int next,
        SortedSet<Integer> early,
        boolean again,
        boolean released,
        long extraMicros,
        long calledMicros,
        int calls) {

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

    static Playhead waiting(int part, long since) {
        return new Playhead(part, Mode.WAITS, since, 0, 1, 0, new TreeSet<>(), false, false, 0, -1, 0);
    }

    static Playhead going(int part, long origin, int section, int next) {
        return new Playhead(part, Mode.GOES, origin, section, 1, next, new TreeSet<>(), false, false, 0, -1, 0);
    }

    Playhead in(Mode other, long at) {
        return new Playhead(
                part, other, at, section, pass, next, early, again, released, extraMicros, calledMicros, calls);
    }

    Playhead called(long at) {
        return new Playhead(
                part,
                mode,
                origin,
                section,
                pass,
                next,
                early,
                again,
                released,
                extraMicros,
                calledMicros < 0 ? at : calledMicros,
                calls + 1);
    }

    /** Past a beat. */
    Playhead past() {
        SortedSet<Integer> left = early.isEmpty() ? early : new TreeSet<>(early.tailSet(next + 1));
        return new Playhead(
                part, mode, origin, section, pass, next + 1, left, again, released, extraMicros, calledMicros, calls);
    }

    Playhead pressedEarly(int beat) {
        SortedSet<Integer> more = new TreeSet<>(early);
        more.add(beat);
        return new Playhead(
                part, mode, origin, section, pass, next, more, again, released, extraMicros, calledMicros, calls);
    }

    /** In the next section, the first time. */
    Playhead inSection(int other) {
        return new Playhead(part, mode, origin, other, 1, next, early, false, false, extraMicros, calledMicros, calls);
    }

    /** In the same section once more. */
    Playhead once(long laterMicros, int first) {
        return new Playhead(
                part,
                mode,
                origin + laterMicros,
                section,
                pass + 1,
                first,
                new TreeSet<>(),
                false,
                released,
                extraMicros,
                calledMicros,
                calls);
    }

    Playhead onceMore() {
        return new Playhead(
                part, mode, origin, section, pass, next, early, true, released, extraMicros, calledMicros, calls);
    }

    Playhead letGo() {
        return new Playhead(
                part, mode, origin, section, pass, next, early, false, true, extraMicros, calledMicros, calls);
    }

    Playhead longer(long micros) {
        return new Playhead(
                part,
                mode,
                origin,
                section,
                pass,
                next,
                early,
                again,
                released,
                extraMicros + micros,
                calledMicros,
                calls);
    }
}
