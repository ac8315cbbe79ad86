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
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * What can go wrong in the nights of rigs, worked out while people do something else: every single thing at every
 * moment, and nights by seed. One is worked out at a time; of each rig the newest result is kept, of {@value #MOST}
 * rigs at most.
 */
@Component
class Foresight {

    private static final Logger LOG = LoggerFactory.getLogger(Foresight.class);

    private static final int MOST = 8;

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
        return Optional.ofNullable(singles.get(rig));
    }

    /** What is known of bad nights; empty where nobody asked. */
    Optional<Nights> nights(RigId rig) {
        return Optional.ofNullable(nights.get(rig));
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
        worker.execute(() -> work(id, now::end, () -> tryAll(now)));
    }

    private void tryAll(Singles now) {
        var mishaps = new Mishaps(now.night());
        List<Mishap> all = Mishaps.faults(now.night().plan()).stream()
                .flatMap(fault -> mishaps.of(fault).stream())
                .toList();
        // What would help is looked for at the worst moment of each that is noticed; that comes last.
        int faults = (int) all.stream().map(Mishap::fault).distinct().count();
        now.came(0, all.size() + faults);
        for (int i = 0; i < all.size() && !now.progress().isEnded(); i++) {
            now.add(mishaps.tried(all.get(i), false));
            now.came(i + 1, all.size() + faults);
        }
        int done = all.size();
        for (List<Mishaps.Tried> tried : now.tried().values()) {
            if (now.progress().isEnded()) {
                return;
            }
            worst(tried)
                    .filter(one -> one.aftermath().isAny())
                    .ifPresent(one -> now.add(mishaps.tried(one.mishap(), true)));
            now.came(++done, all.size() + faults);
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
        worker.execute(() -> work(id, now::end, () -> {
            var bad = new BadNights(now.night(), runs.rates(id));
            while (!now.progress().isDone()) {
                now.add(bad.of(seed + now.progress().done()));
            }
        }));
    }

    /** Ends what is worked out; what is known stays. */
    void endSingles(RigId id) {
        singles(id).filter(one -> !one.progress().isDone()).ifPresent(Singles::end);
    }

    void endNights(RigId id) {
        nights(id).filter(one -> !one.progress().isDone()).ifPresent(Nights::end);
    }

    private static void work(RigId id, Runnable end, Runnable what) {
        try {
            what.run();
        } catch (RuntimeException e) {
            LOG.error("what can go wrong in the night of rig {} is not worked out", id, e);
            end.run();
        }
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
