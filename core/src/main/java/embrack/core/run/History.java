package embrack.core.run;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A run with how it was before, so that it can go back. A value; of the past a run is kept every ten seconds and at
 * each act, {@value #MOST} at the most: beyond that every second one of the older half is let go.
 *
 * <p>Memory: runs share what did not change; one costs about 10 KB with its tape.
 */
public final class History {

    /** As many runs of the past are kept. */
    static final int MOST = 600;

    /** How far apart what is kept lies, microseconds. */
    private static final long EVERY_MICROS = 10_000_000;

    private final Run run;
    private final List<Run> kept;

    /**
     * One act at its time.
     *
     * @param at microseconds of the run
     */
    public record Done(long at, Act act) {}

    private History(Run run, List<Run> kept) {
        this.run = run;
        this.kept = kept;
    }

    /** A run that begins. */
    public static History of(Run run) {
        return new History(run, List.of(run));
    }

    /** A run as it became by acts that were kept, in their order. */
    public static History replay(Run start, List<Done> acts) {
        History history = of(start);
        for (Done done : acts) {
            history = history.until(done.at()).after(done.act());
        }
        return history;
    }

    /** How it stands. */
    public Run run() {
        return run;
    }

    /** As time has gone on to a moment, microseconds of the run. */
    public History until(long micros) {
        Run now = run;
        List<Run> more = new ArrayList<>(kept);
        for (long next = more.getLast().now() + EVERY_MICROS;
                next <= micros && !now.isOver();
                next = more.getLast().now() + EVERY_MICROS) {
            now = now.until(Math.max(next, now.now()));
            more.add(now);
        }
        return new History(now.until(micros), thinned(more));
    }

    /** As it was at a moment, as if time had not gone on since: for what is told late. Nothing may have come since. */
    public History held(long micros) {
        return new History(
                at(micros),
                kept.stream()
                        .filter(one -> one.now() <= micros || one == kept.getFirst())
                        .toList());
    }

    /** After something came upon it now: after all that comes now by itself. */
    public History after(Act act) {
        Run here = run.until(run.now());
        Run next =
                switch (act) {
                    case Act.Back back -> at(back.micros()).cameFrom(here);
                    case Act.From from ->
                        Run.at(run.night(), from.part(), from.bar(), run.isByPlan())
                                .cameFrom(here);
                    default -> run.after(act);
                };
        List<Run> more = new ArrayList<>(kept);
        more.removeIf(before -> before.now() > next.now());
        more.add(next);
        return new History(next, thinned(more));
    }

    /** How it was at a moment, microseconds of the run; as it began, for one before that. */
    public Run at(long micros) {
        Run before = kept.getFirst();
        for (Run one : kept) {
            before = one.now() <= micros ? one : before;
        }
        return before.until(Math.clamp(micros, before.now(), Math.max(before.now(), run.now())));
    }

    /** When the last cue or press of the plan came, or the last part began; empty where none did. */
    public Optional<Long> lastBeat() {
        return run.tape().reversed().stream()
                .filter(line -> line.at() <= run.now() && isBeat(line.what()))
                .map(Line::at)
                .findFirst();
    }

    /** As it is once the next cue or press of the plan has come, the next part has begun, or all is over. */
    public History step() {
        History now = this;
        while (!now.run.isOver() && now.run.nextMicros() != Long.MAX_VALUE) {
            long before = now.run.lines();
            now = now.until(now.run.nextMicros());
            boolean isThere = now.run.tape().reversed().stream()
                    .takeWhile(line -> line.number() > before)
                    .anyMatch(line -> isBeat(line.what()));
            if (isThere) {
                return now;
            }
        }
        return now;
    }

    private static boolean isBeat(Line.What what) {
        return what instanceof Line.Cued
                || what instanceof Line.Began
                || what instanceof Line.Trod trod && trod.byPlan();
    }

    private static List<Run> thinned(List<Run> runs) {
        if (runs.size() <= MOST) {
            return List.copyOf(runs);
        }
        List<Run> fewer = new ArrayList<>();
        for (int i = 0; i < runs.size(); i++) {
            if (i >= runs.size() / 2 || i % 2 == 0) {
                fewer.add(runs.get(i));
            }
        }
        return List.copyOf(fewer);
    }
}
