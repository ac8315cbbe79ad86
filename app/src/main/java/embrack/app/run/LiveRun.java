package embrack.app.run;

import embrack.app.frame.Deliveries;
import embrack.app.store.RigId;
import embrack.app.store.RunStore;
import embrack.core.rig.DeviceId;
import embrack.core.run.Act;
import embrack.core.run.Advice;
import embrack.core.run.Drill;
import embrack.core.run.Fault;
import embrack.core.run.History;
import embrack.core.run.Lots;
import embrack.core.run.Night;
import embrack.core.run.Run;
import embrack.core.run.Score;
import embrack.core.run.Wrong;
import embrack.core.run.text.DrillText;
import embrack.core.world.Event;
import embrack.core.world.Place;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A run that goes on in the server. What people do is kept before it is shown, so that it is the same after the server
 * was ended and started again. It belongs to one thread at a time.
 */
final class LiveRun {

    /** A run that goes as fast as it can is worked out for so long at a time, then shown, nanoseconds. */
    private static final long AT_A_TIME_NANOS = 40_000_000;

    /** What goes wrong by itself does so after a third of a song. */
    private static final int SPOILT_AFTER = 3;

    private static final long CHUNK_MICROS = 10_000_000;

    /** How often it is kept how far it has come, nanoseconds. */
    private static final long KEEP_NANOS = 1_000_000_000;

    /** A run that is held for half an hour leaves the memory, nanoseconds. */
    private static final long FORGOTTEN_NANOS = 1_800_000_000_000L;

    /** What is lost of a second while the server was held up is not made good, nanoseconds. */
    private static final long MOST_AT_ONCE_NANOS = 1_000_000_000;

    private final RigId rig;
    private final RunStore store;
    private final RunStore.Kept kept;
    private final Run start;
    private final Lots lots;
    private History history;

    /** When something came upon it last, microseconds of the run; before that nothing can be put. */
    private long lastAct;

    /** How the feet did in what was left for elsewhere. */
    private Score left = Score.NOTHING;

    /** The presses that are made again and again, and which is at hand. */
    private Optional<Drill> drill;

    /** Whether the press at hand is yet to be gone to. */
    private boolean isNew;

    /** The part in which something went wrong by itself last, from 0. */
    private int spoilt = -1;

    private Pace pace;
    private final long begunNanos;
    private long lastNanos;
    private long keptNanos;
    private double rest;
    private long touchedNanos;

    /** What is wrong, so that advice on it is looked for once. */
    private record Trouble(Set<Place> wrong, boolean isSilent, List<Event> outs) {}

    private Optional<Trouble> advisedOn = Optional.empty();
    private Optional<Advice> advice = Optional.empty();

    /** What is played again, and how many acts of it came; empty where people play. */
    private Optional<Replay> replay;

    private int came;

    /** What came to boxes, for real ones that obey. */
    private final Brought brought = new Brought();

    /** A run as it was kept. */
    LiveRun(RigId rig, RunStore store, RunStore.Kept kept, Night night, List<History.Done> acts, long nanos) {
        this(rig, store, kept, night, acts, Optional.empty(), nanos);
    }

    /** A run as it was kept, that may play another one again. */
    LiveRun(
            RigId rig,
            RunStore store,
            RunStore.Kept kept,
            Night night,
            List<History.Done> acts,
            Optional<Replay> replay,
            long nanos) {
        this.rig = rig;
        this.store = store;
        this.kept = kept;
        this.pace = Pace.parse(kept.pace());
        this.start =
                Run.at(night, kept.wish().part(), kept.wish().bar(), kept.wish().byPlan());
        this.history = History.of(start);
        this.lastAct = start.now();
        for (History.Done done : acts) {
            this.history = history.until(done.at());
            take(done.act());
        }
        if (kept.reached() > history.run().now()) {
            this.history = history.until(kept.reached());
        }
        this.drill = DrillText.read(kept.wish().drill())
                .map(read -> read.targets().stream()
                        .filter(target -> target.part() < night.parts().size())
                        .toList())
                .filter(targets -> !targets.isEmpty())
                .map(targets -> new Drill(targets, 0));
        this.isNew = true;
        this.replay = replay;
        this.came = acts.size();
        this.lots = new Lots(night, store.rates(rig));
        this.begunNanos = nanos;
        this.lastNanos = nanos;
        this.keptNanos = nanos;
        this.touchedNanos = nanos;
    }

    RigId rig() {
        return rig;
    }

    /** Which one, of all that there ever were. */
    long id() {
        return kept.id();
    }

    /** When it began to go on at this server. */
    long begunNanos() {
        return begunNanos;
    }

    int revision() {
        return kept.revision();
    }

    /** Whether it plays another one again. */
    synchronized boolean isReplay() {
        return replay.isPresent();
    }

    /** From now on people play it. */
    synchronized void goOnAlone(long nanos) {
        tick(nanos);
        replay = Optional.empty();
        store.goOnAlone(kept.id());
    }

    /** How it was begun. */
    RunStore.Wish wish() {
        return kept.wish();
    }

    /** How it stood when it began. */
    Run start() {
        return start;
    }

    /** How the feet did so far, in all that was played. */
    synchronized Score score() {
        return left.and(Score.of(history.run()));
    }

    /** The presses that are made again until they sit; empty where none are. */
    synchronized Optional<Drill> drill() {
        return drill;
    }

    /** Something comes upon it; what is left by that is scored. */
    private void take(Act act) {
        Run before = history.run().until(history.run().now());
        history = history.after(act);
        spoilt = act instanceof Act.Struck ? before.part() : spoilt;
        lastAct = history.run().now();
        if (act instanceof Act.Back || act instanceof Act.From) {
            left = left.and(Score.left(before, history.run()));
        }
    }

    synchronized Run run() {
        return history.run();
    }

    /** What brings back what is wrong now; empty where nothing is, or nothing helps. Who asks first looks for it. */
    Optional<Advice> advice() {
        Run now = run();
        Trouble trouble = new Trouble(
                now.wrongs().stream().map(Wrong::place).collect(Collectors.toSet()),
                now.silentSince().isPresent(),
                now.repairs());
        synchronized (this) {
            if (advisedOn.filter(trouble::equals).isPresent()) {
                return advice;
            }
        }
        boolean isWell = trouble.wrong().isEmpty()
                && !trouble.isSilent()
                && trouble.outs().isEmpty();
        Optional<Advice> found = isWell ? Optional.empty() : Advice.of(now);
        synchronized (this) {
            advisedOn = Optional.of(trouble);
            advice = found;
        }
        return found;
    }

    synchronized Pace pace() {
        return pace;
    }

    /** As time goes on by the clock of the server; whether anything may look otherwise now. */
    synchronized boolean tick(long nanos) {
        long went = Math.clamp(nanos - lastNanos, 0, MOST_AT_ONCE_NANOS);
        lastNanos = Math.max(lastNanos, nanos);
        if (!pace.isGoing()) {
            return false;
        }
        touchedNanos = nanos;
        long before = history.run().lines();
        switch (pace.speed()) {
            case ALL -> {
                long end = System.nanoTime() + AT_A_TIME_NANOS;
                while (!isPlayed() && System.nanoTime() < end) {
                    reach(history.run().now() + CHUNK_MICROS);
                }
            }
            case JOINS -> {
                advance(went, 1);
                passOver(Run::nextJoinMicros);
            }
            case PRESSES, SLOWER -> {
                advance(went, pace.speed().rate());
                passOver(Run::nextPressMicros);
            }
            default -> advance(went, pace.speed().rate());
        }
        spoil();
        train();
        if (isPlayed()) {
            pace = pace.going(false);
            keep(nanos);
        } else if (nanos - keptNanos >= KEEP_NANOS) {
            keep(nanos);
        }
        return history.run().lines() != before;
    }

    /** Whether nothing more is to come of it. */
    private boolean isPlayed() {
        return history.run().isOver()
                || replay.filter(again -> again.isOver(came, history.run().now()))
                        .isPresent();
    }

    /** Time goes on to a moment of the run; with what is played again, where that leads. */
    private void reach(long micros) {
        long to = micros;
        for (long next = nextAgain(); next <= to; next = nextAgain()) {
            history = history.until(next);
            long left = to - Math.max(next, history.run().now());
            kept("", replay.orElseThrow().acts().get(came++).act());
            to = history.run().now() + left;
        }
        history = history.until(to);
    }

    private long nextAgain() {
        return replay.map(again -> again.nextMicros(came)).orElse(Long.MAX_VALUE);
    }

    /** Over what is not played, at once. */
    private void passOver(Function<Run, OptionalLong> next) {
        for (OptionalLong there = next.apply(history.run()); there.isPresent(); there = next.apply(history.run())) {
            reach(there.getAsLong());
        }
    }

    /** Something goes wrong by itself, once in each part of a run that is so, when a good while of it has gone by. */
    private void spoil() {
        Run run = history.run();
        OptionalLong seed = kept.wish().seed();
        if (seed.isEmpty() || run.part() == spoilt || run.song().isEmpty() || run.isOver() || run.isWaiting()) {
            return;
        }
        long length = run.song().get().lengthMicros();
        if (run.songMicros().orElse(0) < length / SPOILT_AFTER) {
            return;
        }
        lots.likely(seed.getAsLong() + run.part(), run.part()).ifPresent(fault -> kept("", new Act.Struck(fault)));
    }

    /** Something that may well go wrong now. */
    synchronized Optional<Fault> drawn(long seed) {
        return lots.likely(seed, history.run().part());
    }

    /** On to the next press that does not sit yet, once the one at hand was made or missed. */
    private void train() {
        if (drill.isEmpty() || !isNew && !drill.get().isDone(history.run())) {
            return;
        }
        Optional<Drill> next = isNew ? drill : drill.get().next(score());
        isNew = false;
        if (next.isEmpty()) {
            pace = pace.going(false);
            drill = Optional.empty();
            store.reached(kept.id(), history.run().now(), pace.written());
            return;
        }
        drill = next;
        kept("", next.get().from(history.run().night()));
    }

    /** Whether it has been held for so long that it can leave the memory: it is kept. */
    synchronized boolean isForgotten(long nanos) {
        return !pace.isGoing() && nanos - touchedNanos > FORGOTTEN_NANOS;
    }

    private void advance(long nanos, double rate) {
        double micros = nanos / 1_000.0 * rate + rest;
        long whole = (long) micros;
        rest = micros - whole;
        reach(history.run().now() + whole);
    }

    /** Somebody does something, at this moment of the clock of the server. */
    synchronized void act(String who, Act act, long nanos) {
        tick(nanos);
        touchedNanos = nanos;
        kept(who, act);
    }

    /**
     * Somebody did something a while ago, and it is told only now: it comes where it belongs, or behind what came
     * since.
     *
     * @param agoMicros how long ago by the clock, microseconds
     */
    synchronized void act(String who, Act act, long nanos, long agoMicros) {
        tick(nanos);
        touchedNanos = nanos;
        long now = history.run().now();
        double rate = pace.isGoing() && !Double.isInfinite(pace.speed().rate())
                ? pace.speed().rate()
                : 0;
        long then = Math.max(lastAct, now - Math.round(agoMicros * rate));
        brought.take(history.run());
        history = history.held(then);
        kept(who, act);
        history = history.until(now);
        brought.takeAnew(history.run(), then);
    }

    /** What came to some boxes since; see {@link Deliveries}. */
    synchronized Deliveries.Since brought(OptionalLong known, Set<DeviceId> boxes) {
        brought.take(history.run());
        return brought.since(known, pace.isForGear(), boxes);
    }

    /** What comes upon it now is kept, and then so. */
    private void kept(String who, Act act) {
        store.act(kept.id(), new History.Done(history.run().now(), act), who);
        take(act);
    }

    /** It goes on otherwise. */
    synchronized void go(Pace other, long nanos) {
        tick(nanos);
        if (!pace.isForGear()) {
            brought.forget(history.run());
        }
        pace = history.run().isOver() ? other.going(false) : other;
        rest = 0;
        keep(nanos);
    }

    /** On to the next cue or press of the plan, and held there. */
    synchronized void step(long nanos) {
        tick(nanos);
        reach(Math.min(history.step().run().now(), nextAgain()));
        pace = pace.going(false);
        keep(nanos);
    }

    /** Back to just before the last cue or press of the plan, and held there. */
    synchronized void back(String who, long nanos) {
        tick(nanos);
        Optional<Long> last = history.lastBeat();
        pace = pace.going(false);
        act(who, new Act.Back(last.map(at -> Math.max(0, at - 1)).orElse(0L)), nanos);
        keep(nanos);
    }

    /** Keeps how far it has come. */
    synchronized void keep(long nanos) {
        keptNanos = nanos;
        store.reached(kept.id(), history.run().now(), pace.written());
    }
}
