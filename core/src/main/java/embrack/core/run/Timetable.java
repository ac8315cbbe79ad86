package embrack.core.run;

import embrack.core.run.Script.Beat;
import embrack.core.show.Calls;
import embrack.core.show.Form;
import embrack.core.show.Running;
import embrack.core.show.Song;
import java.util.List;
import java.util.Optional;

/**
 * When the next thing comes of what waits or goes, if nobody does anything. All moments are microseconds of the run;
 * {@link Long#MAX_VALUE} is never, or only by what somebody does.
 *
 * @param byPlan whether the run itself presses what the plan says, else people do
 */
record Timetable(Night night, boolean byPlan) {

    /** When somebody presses once more for what did not begin. Common practice, no source. */
    private static final long TRY_AGAIN_MICROS = 3_000_000;

    /** How often somebody presses before going to the player. Common practice, no source. */
    static final int TRIES = 3;

    /** When somebody begins it at the player, where presses did not. Common practice, no source. */
    private static final long WALK_TO_PLAYER_MICROS = 20_000_000;

    /** When something comes of where the night is. */
    long next(Playhead head) {
        return switch (head.mode()) {
            case WAITS -> call(head);
            case GOES -> Math.min(sounding(head), handover(head));
            case HELD, STOPPED, OVER -> Long.MAX_VALUE;
        };
    }

    /** When somebody presses for what waits, or it begins by itself. */
    private long call(Playhead head) {
        boolean asksForAPress = night.start(head.part()).isPresent();
        if (!byPlan && asksForAPress) {
            return Long.MAX_VALUE;
        }
        return head.called().times() == 0
                ? head.origin()
                : head.called().times() < TRIES
                        ? head.called().micros() + head.called().times() * TRY_AGAIN_MICROS
                        : head.called().micros() + WALK_TO_PLAYER_MICROS;
    }

    /** When the next beat, the end of the section, or the end comes of what goes. */
    long sounding(Playhead of) {
        Optional<Script> script = night.script(of.part());
        if (script.isEmpty()) {
            return end(of);
        }
        List<Beat> inside = script.get().inside();
        long beat =
                of.next() < inside.size() ? of.origin() + inside.get(of.next()).at() : Long.MAX_VALUE;
        return Math.min(beat, boundary(of, script.get()));
    }

    /** When the section ends, or the song. */
    static long boundary(Playhead of, Script script) {
        Song song = script.song();
        Form form = song.form();
        return isLast(of, form)
                ? of.origin() + song.endMicros() + of.extraMicros()
                : of.origin() + Math.min(form.endMicros(of.section()), song.endMicros());
    }

    /** Whether no section follows the one that plays. */
    static boolean isLast(Playhead of, Form form) {
        return of.section() + 1 >= form.sections().size();
    }

    /** When a part ends that has no script; never where somebody has to end it, or nobody knows how long it takes. */
    private long end(Playhead of) {
        Running.Part part = night.parts().get(of.part());
        boolean isEndedByPeople = part.entry().calls().ending() != Calls.Ending.ITSELF
                || part.lengthMicros() == 0
                || part.entry().item().isSpoken();
        return !byPlan && isEndedByPeople && of.part() + 1 < night.parts().size()
                ? Long.MAX_VALUE
                : of.origin() + part.lengthMicros() + of.extraMicros();
    }

    /** When the next part begins while this one still goes; never where it does not. */
    long handover(Playhead head) {
        long gap = night.parts().get(head.part()).entry().transition().gapMicros();
        if (gap >= 0 || head.part() + 1 >= night.parts().size()) {
            return Long.MAX_VALUE;
        }
        Optional<Script> script = night.script(head.part());
        if (script.isEmpty()) {
            long end = end(head);
            return end == Long.MAX_VALUE ? end : Math.max(head.origin(), end + gap);
        }
        return isLast(head, script.get().song().form()) ? boundary(head, script.get()) + gap : Long.MAX_VALUE;
    }

    /** When the part ends that goes, or its section while others follow; never where nobody knows. */
    long ends(Playhead head) {
        return night.script(head.part()).map(script -> boundary(head, script)).orElseGet(() -> end(head));
    }

    /** Whether the next beat of a song has come by a moment, before its section ends. */
    static boolean isBeatNext(Playhead of, Script script, long now) {
        if (of.next() >= script.inside().size()) {
            return false;
        }
        long beat = of.origin() + script.inside().get(of.next()).at();
        return beat < boundary(of, script) && beat <= now;
    }
}
