package embrack.app.run;

import embrack.app.store.RigDeleted;
import embrack.app.store.RigId;
import embrack.app.store.RunElsewhere;
import embrack.app.store.RunStore;
import embrack.app.store.RunWanted;
import embrack.app.store.StoredRig;
import embrack.core.run.Act;
import embrack.core.run.History;
import embrack.core.run.Night;
import embrack.core.run.Run;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * The runs that go on, one a rig, however many watch and press. One that went on when the server ended goes on from
 * where it was, once somebody looks at it.
 */
@Component
class LiveRuns {

    private static final Logger LOG = LoggerFactory.getLogger(LiveRuns.class);

    /** How often time goes on, milliseconds. */
    private static final int TICK_MILLIS = 40;

    /** How often it is said that runs go on here, nanoseconds: a third of how long that holds. */
    private static final long HOLDS_NANOS = 2_000_000_000;

    /** So long a run stays where it came, nanoseconds, whoever asks for it elsewhere. */
    private static final long STAYS_NANOS = 3_000_000_000L;

    private static final int PAUSE_MILLIS = 100;

    /** Longer than a server that has ended is waited for. */
    private static final int MOST_TRIES = 80;

    private static final int ASKS_EVERY = 10;

    private final Nights nights;
    private final RunStore store;
    private final RunLog log;
    private final Map<RigId, LiveRun> live = new ConcurrentHashMap<>();
    private final List<Consumer<LiveRun>> watching = new CopyOnWriteArrayList<>();
    private final List<Consumer<RigId>> ends = new CopyOnWriteArrayList<>();
    private final List<Consumer<RigId>> moves = new CopyOnWriteArrayList<>();
    private long heldNanos = System.nanoTime();
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().daemon().name("runs").factory());

    LiveRuns(Nights nights, RunStore store, RunLog log) {
        this.log = log;
        this.nights = nights;
        this.store = store;
        clock.scheduleAtFixedRate(this::tick, TICK_MILLIS, TICK_MILLIS, TimeUnit.MILLISECONDS);
    }

    /** Is told of each run of which something may look otherwise now. */
    void watch(Consumer<LiveRun> watcher) {
        watching.add(watcher);
    }

    /** Is told of each rig whose run has ended. */
    void watchEnds(Consumer<RigId> watcher) {
        ends.add(watcher);
    }

    /** Is told of each rig whose run goes on at another server from now on. */
    void watchMoves(Consumer<RigId> watcher) {
        moves.add(watcher);
    }

    /**
     * The run that goes on; empty where none does. One that went on at another server goes on at this one from then on.
     *
     * @throws RunElsewhere when the other one neither lets go of it nor has ended
     */
    Optional<LiveRun> of(RigId rig) {
        LiveRun here = live.get(rig);
        return here != null
                ? Optional.of(here)
                : store.open(rig)
                        .map(kept -> held(rig, kept))
                        .map(kept -> live.computeIfAbsent(rig, id -> taken(id, kept)));
    }

    /** How far it has come is known once nobody else goes on with it. */
    private RunStore.Kept held(RigId rig, RunStore.Kept kept) {
        for (int tries = 0; !store.hold(kept.id()); tries++) {
            if (tries == MOST_TRIES) {
                throw new RunElsewhere(kept.id());
            }
            if (tries % ASKS_EVERY == 0) {
                store.want(rig);
            }
            pause();
        }
        return store.find(rig, kept.id()).orElse(kept);
    }

    private static void pause() {
        try {
            Thread.sleep(PAUSE_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** At another server somebody asks for a run; one that came only now stays for a moment. */
    @EventListener
    void wanted(RunWanted wanted) {
        LiveRun run = live.get(wanted.rig());
        if (run != null) {
            long stays = STAYS_NANOS - (System.nanoTime() - run.begunNanos());
            clock.schedule(() -> letGo(run), Math.max(0, stays), TimeUnit.NANOSECONDS);
        }
    }

    private void letGo(LiveRun run) {
        if (live.remove(run.rig(), run)) {
            try {
                run.keep(System.nanoTime());
                store.letGo(run.id());
            } catch (RunElsewhere | DataAccessException | TransactionException e) {
                LOG.debug("run {} is gone already", run.id(), e);
            }
            moves.forEach(watcher -> watcher.accept(run.rig()));
        }
    }

    /** Says that runs go on here; what another server has taken over meanwhile goes on here no more. */
    private void holdOn() {
        if (live.isEmpty() || System.nanoTime() - heldNanos < HOLDS_NANOS) {
            return;
        }
        heldNanos = System.nanoTime();
        List<LiveRun> before = List.copyOf(live.values());
        try {
            Set<Long> held = store.holdOn(before.stream().map(LiveRun::id).toList());
            before.stream().filter(run -> !held.contains(run.id())).forEach(run -> {
                if (live.remove(run.rig(), run)) {
                    moves.forEach(watcher -> watcher.accept(run.rig()));
                }
            });
        } catch (DataAccessException | TransactionException e) {
            LOG.debug("it cannot be said just now that runs go on here", e);
        }
    }

    private LiveRun taken(RigId rig, RunStore.Kept kept) {
        Night night = nights.of(rig, kept.revision());
        return new LiveRun(
                rig, store, kept, night, acts(kept.id(), night), replay(rig, kept, night), System.nanoTime());
    }

    private List<History.Done> acts(long run, Night night) {
        return store.acts(run, night.plan().rig());
    }

    private Optional<Replay> replay(RigId rig, RunStore.Kept kept, Night night) {
        return kept.wish().replays().stream()
                .mapToObj(other -> store.find(rig, other))
                .flatMap(Optional::stream)
                .map(other -> new Replay(acts(other.id(), night), other.reached()))
                .findFirst();
    }

    /** Begins a run of the newest plan, and ends the one that went on. */
    LiveRun begin(StoredRig rig, RunStore.Wish wish, Pace pace) {
        of(rig.id()).ifPresent(this::write);
        Night night = nights.of(rig);
        long from = Run.at(night, wish.part(), wish.bar(), wish.byPlan()).now();
        RunStore.Kept kept = store.begin(
                rig.id(), rig.revision(), wish, from, pace.going(true).written());
        LiveRun run =
                new LiveRun(rig.id(), store, kept, night, List.of(), replay(rig.id(), kept, night), System.nanoTime());
        if (!run.isReplay()) {
            log.begun(run);
        }
        live.put(rig.id(), run);
        tell(run);
        return run;
    }

    /** Plays one of a rig again, as it was played, and ends the one that went on; false where there is none of it. */
    boolean again(RigId rig, long run) {
        Optional<RunStore.Kept> kept = store.find(rig, run);
        kept.ifPresent(one -> {
            of(rig).ifPresent(this::write);
            RunStore.Kept whole = store.find(rig, run).orElse(one);
            boolean isDrill = whole.wish().sort() == RunStore.Sort.DRILL;
            begin(
                    nights.played(rig, whole.revision()),
                    whole.again(),
                    Pace.PAUSED.at(isDrill ? Pace.Speed.PRESSES : Pace.Speed.ONE));
        });
        return kept.isPresent();
    }

    /** People go on from where one is that is played again. */
    void goOnAlone(LiveRun run) {
        run.goOnAlone(System.nanoTime());
        log.begun(run);
        tell(run);
    }

    /** What came of one is written into the log; of one that is played again it stands there already. */
    private void write(LiveRun run) {
        run.keep(System.nanoTime());
        if (!run.isReplay()) {
            log.write(run);
        }
    }

    /** Ends the one that goes on. */
    void end(RigId rig) {
        of(rig).ifPresent(this::write);
        store.end(rig);
        live.remove(rig);
        ends.forEach(watcher -> watcher.accept(rig));
    }

    /** Somebody does something in it. */
    void act(LiveRun run, String who, Act act) {
        run.act(who, act, System.nanoTime());
        tell(run);
    }

    /** Somebody did something in it a while ago, microseconds, that is told only now. */
    void act(LiveRun run, String who, Act act, long agoMicros) {
        run.act(who, act, System.nanoTime(), agoMicros);
        tell(run);
    }

    /** It goes on otherwise. */
    void go(LiveRun run, Pace pace) {
        run.go(pace, System.nanoTime());
        if (!pace.isGoing()) {
            write(run);
        }
        tell(run);
    }

    void step(LiveRun run) {
        run.step(System.nanoTime());
        tell(run);
    }

    void back(LiveRun run, String who) {
        run.back(who, System.nanoTime());
        tell(run);
    }

    private void tick() {
        holdOn();
        List.copyOf(live.values()).stream()
                .filter(run -> run.isForgotten(System.nanoTime()))
                .forEach(this::letGo);
        for (LiveRun run : live.values()) {
            try {
                boolean wasOver = run.run().isOver();
                if (run.tick(System.nanoTime())) {
                    tell(run);
                }
                if (run.run().isOver() && !wasOver) {
                    write(run);
                }
            } catch (RunElsewhere e) {
                LOG.info("the run of rig {} goes on at another server", run.rig());
                live.remove(run.rig(), run);
                moves.forEach(watcher -> watcher.accept(run.rig()));
            } catch (RuntimeException e) {
                LOG.error("the run of rig {} is left", run.rig(), e);
                live.remove(run.rig());
            }
        }
    }

    private void tell(LiveRun run) {
        watching.forEach(watcher -> watcher.accept(run));
    }

    @EventListener
    void deleted(RigDeleted gone) {
        live.remove(gone.rig());
    }

    /** Keeps how far runs have come, so that they go on from there. */
    @EventListener(ContextClosedEvent.class)
    void closing() {
        clock.shutdownNow();
        List.copyOf(live.values()).forEach(this::letGo);
    }
}
