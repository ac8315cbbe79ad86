package embrack.app.run;

import embrack.app.store.Reports;
import embrack.app.store.RigDeleted;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.RunStore;
import embrack.app.store.StoredRig;
import embrack.core.run.BadNights;
import embrack.core.run.Fault;
import embrack.core.run.Mishap;
import embrack.core.run.Mishaps;
import embrack.core.run.Night;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * What can go wrong in the nights of rigs, worked out while people do something else: every single thing at every
 * moment, and nights by seed. One step is worked out at a time; of each rig the newest result is kept, of
 * {@value #MOST} rigs at most.
 */
@Component
class Foresight {

    private static final Logger LOG = LoggerFactory.getLogger(Foresight.class);

    private static final int MOST = 8;

    /** Nothing is worked out for longer than that, nanoseconds, when nobody asks how far it is: half a minute. */
    private static final long UNSEEN_NANOS = 30_000_000_000L;

    private final RigStore rigs;
    private final Reports reports;
    private final RunStore runs;
    private final Map<RigId, Singles> singles = new ConcurrentHashMap<>();
    private final Map<RigId, Nights> nights = new ConcurrentHashMap<>();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(Thread.ofPlatform()
            .daemon()
            .name("foresight")
            .priority(Thread.MIN_PRIORITY)
            .factory());

    Foresight(RigStore rigs, Reports reports, RunStore runs) {
        this.rigs = rigs;
        this.reports = reports;
        this.runs = runs;
    }

    /**
     * How far something is that is worked out.
     *
     * @param all how much there is to do
     * @param isEnded whether somebody ended it, or it failed
     */
    record Progress(int done, int all, boolean isEnded) {

        boolean isDone() {
            return isEnded || all > 0 && done >= all;
        }
    }

    /** All that came of every single thing that goes wrong, for one revision of a rig. */
    static final class Singles {
        private final int revision;
        private final Night night;
        private final AtomicLong seen = new AtomicLong(System.nanoTime());
        private final Map<Fault, List<Mishaps.Tried>> tried = new LinkedHashMap<>();
        private Progress progress = new Progress(0, 0, false);

        private Singles(int revision, Night night) {
            this.revision = revision;
            this.night = night;
        }

        int revision() {
            return revision;
        }

        Night night() {
            return night;
        }

        synchronized Progress progress() {
            return progress;
        }

        /** What was tried so far, by what went wrong. */
        synchronized Map<Fault, List<Mishaps.Tried>> tried() {
            Map<Fault, List<Mishaps.Tried>> copy = new LinkedHashMap<>();
            tried.forEach((fault, all) -> copy.put(fault, List.copyOf(all)));
            return copy;
        }

        private synchronized void add(Mishaps.Tried one) {
            List<Mishaps.Tried> all = tried.computeIfAbsent(one.mishap().fault(), key -> new ArrayList<>());
            all.removeIf(before -> before.mishap().equals(one.mishap()));
            all.add(one);
        }

        private synchronized void came(int done, int all) {
            progress = new Progress(done, all, progress.isEnded());
        }

        private synchronized void end() {
            progress = new Progress(progress.done(), progress.all(), true);
        }
    }

    /** What came of some nights of a rig. */
    static final class Nights {
        private final int revision;
        private final Night night;
        private final long seed;
        private final AtomicLong seen = new AtomicLong(System.nanoTime());
        private BadNights.Bill bill = BadNights.Bill.NOTHING;
        private int noticed;
        private Progress progress;

        private Nights(int revision, Night night, long seed, int count) {
            this.revision = revision;
            this.night = night;
            this.seed = seed;
            this.progress = new Progress(0, count, false);
        }

        int revision() {
            return revision;
        }

        Night night() {
            return night;
        }

        /** The seed of the first. */
        long seed() {
            return seed;
        }

        synchronized Progress progress() {
            return progress;
        }

        synchronized BadNights.Bill bill() {
            return bill;
        }

        /** In how many of them the audience noticed anything. */
        synchronized int noticed() {
            return noticed;
        }

        private synchronized void add(BadNights.Bill more) {
            bill = bill.and(more);
            noticed += more.worst().isEmpty() ? 0 : 1;
            progress = new Progress(progress.done() + 1, progress.all(), progress.isEnded());
        }

        private synchronized void end() {
            progress = new Progress(progress.done(), progress.all(), true);
        }
    }

    /** What is known of single things that go wrong; empty where nobody asked. */
    Optional<Singles> singles(RigId rig) {
        Optional<Singles> known = Optional.ofNullable(singles.get(rig));
        known.ifPresent(one -> one.seen.set(System.nanoTime()));
        return known;
    }

    /** What is known of bad nights; empty where nobody asked. */
    Optional<Nights> nights(RigId rig) {
        Optional<Nights> known = Optional.ofNullable(nights.get(rig));
        known.ifPresent(one -> one.seen.set(System.nanoTime()));
        return known;
    }

    /** Tries every single thing on the newest plan, unless that was done or is. */
    void trySingles(RigId id) {
        StoredRig rig = rigs.load(id);
        Singles known = singles.get(id);
        if (known != null
                && known.revision() == rig.revision()
                && !known.progress().isEnded()) {
            return;
        }
        endSingles(id);
        Singles now = new Singles(rig.revision(), Night.of(reports.of(rig)));
        room(singles);
        singles.put(id, now);
        work(id, now.seen, now::end, new AllSingles(now)::next);
    }

    /** Every single thing, one after the other; what would help comes last, at the worst moment of each. */
    private static final class AllSingles {
        private final Singles into;
        private final Mishaps mishaps;
        private final List<Mishap> all;
        private final List<Fault> faults;
        private int done;

        AllSingles(Singles into) {
            this.into = into;
            this.mishaps = new Mishaps(into.night());
            this.faults = Mishaps.faults(into.night().plan());
            this.all =
                    faults.stream().flatMap(fault -> mishaps.of(fault).stream()).toList();
            into.came(0, all.size() + faults.size());
        }

        /** Tries the next; whether there are more. */
        boolean next() {
            if (into.progress().isDone()) {
                return false;
            }
            if (done < all.size()) {
                into.add(mishaps.tried(all.get(done), false));
            } else {
                worst(into.tried().getOrDefault(faults.get(done - all.size()), List.of()))
                        .filter(one -> one.aftermath().isAny())
                        .ifPresent(one -> into.add(mishaps.tried(one.mishap(), true)));
            }
            into.came(++done, all.size() + faults.size());
            return !into.progress().isDone();
        }
    }

    /** The one of which the audience notices most, or which is wrong longest. */
    static Optional<Mishaps.Tried> worst(List<Mishaps.Tried> tried) {
        return tried.stream()
                .max(Comparator.comparingLong((Mishaps.Tried one) ->
                                one.aftermath().heardMicros() + one.aftermath().seenMicros())
                        .thenComparingLong(one -> one.aftermath().wrongMicros()));
    }

    /** Draws some nights of the newest plan by the rates of its crew. */
    void tryNights(RigId id, long seed, int count) {
        StoredRig rig = rigs.load(id);
        endNights(id);
        Nights now = new Nights(rig.revision(), Night.of(reports.of(rig)), seed, count);
        room(nights);
        nights.put(id, now);
        var bad = new BadNights(now.night(), runs.rates(id));
        work(id, now.seen, now::end, () -> {
            if (!now.progress().isDone()) {
                now.add(bad.of(seed + now.progress().done()));
            }
            return !now.progress().isDone();
        });
    }

    /** Ends what is worked out; what is known stays. */
    void endSingles(RigId id) {
        singles(id).filter(one -> !one.progress().isDone()).ifPresent(Singles::end);
    }

    void endNights(RigId id) {
        nights(id).filter(one -> !one.progress().isDone()).ifPresent(Nights::end);
    }

    /** A step of each by turns, so that nobody waits for what others asked for before. */
    private void work(RigId id, AtomicLong seen, Runnable end, BooleanSupplier step) {
        worker.execute(() -> {
            try {
                if (System.nanoTime() - seen.get() > UNSEEN_NANOS) {
                    end.run();
                } else if (step.getAsBoolean()) {
                    work(id, seen, end, step);
                }
            } catch (RejectedExecutionException e) {
                LOG.debug("Embrack ends", e);
            } catch (RuntimeException e) {
                LOG.error("what can go wrong in the night of rig {} is not worked out", id, e);
                end.run();
            }
        });
    }

    /** Makes room for one more: some that is done goes. */
    private static void room(Map<RigId, ?> kept) {
        while (kept.size() >= MOST) {
            kept.remove(kept.keySet().iterator().next());
        }
    }

    @EventListener
    void deleted(RigDeleted gone) {
        endSingles(gone.rig());
        endNights(gone.rig());
        singles.remove(gone.rig());
        nights.remove(gone.rig());
    }

    @EventListener(ContextClosedEvent.class)
    void closing() {
        worker.shutdownNow();
        singles.values().forEach(Singles::end);
        nights.values().forEach(Nights::end);
    }
}
