package embrack.app.run;

import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.RunStore;
import embrack.app.store.StoredRig;
import embrack.app.store.work.Job;
import embrack.app.store.work.LongWork;
import embrack.core.run.BadNights;
import embrack.core.run.Fault;
import embrack.core.run.Mishap;
import embrack.core.run.Mishaps;
import embrack.core.run.Night;
import embrack.core.run.Outcome;
import embrack.core.run.text.BillText;
import embrack.core.run.text.OutcomeText;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import org.springframework.stereotype.Service;

/**
 * What can go wrong in the nights of rigs, worked out by all servers together while people do something else: every
 * single thing at every moment, and nights by seed. Of each rig the newest result is kept.
 */
@Service
class Foresight {

    private final RigStore rigs;
    private final RunStore runs;
    private final Nights nights;
    private final LongWork work;

    Foresight(RigStore rigs, RunStore runs, Nights nights, LongWork work) {
        this.rigs = rigs;
        this.runs = runs;
        this.nights = nights;
        this.work = work;
    }

    /**
     * How far something is that is worked out.
     *
     * @param all how much there is to do
     * @param isEnded whether somebody ended it, or it failed
     * @param hasFailed whether it failed
     */
    record Progress(int done, int all, boolean isEnded, boolean hasFailed) {

        private static Progress of(Job job, int done, int all) {
            return new Progress(done, all, job.isEnded(), job.hasFailed());
        }

        boolean isDone() {
            return isEnded || done >= all;
        }
    }

    /** A single thing at one moment, and what comes of it. */
    record Tried(Mishap mishap, Outcome outcome) {}

    /**
     * What came of single things that go wrong.
     *
     * @param revision of the plan
     * @param tried by what went wrong
     */
    record Singles(int revision, Night night, Map<Fault, List<Tried>> tried, Progress progress) {}

    /**
     * What came of some nights.
     *
     * @param revision of the plan
     * @param seed of the first
     */
    record Drawn(int revision, Night night, long seed, BadNights.Bill bill, Progress progress) {}

    /** What is known of single things that go wrong; empty where nobody asked. */
    Optional<Singles> singles(RigId rig) {
        return work.newest(rig, SinglesLabour.SORT).map(job -> {
            Mishaps mishaps = nights.mishaps(rig, job.revision());
            Map<Fault, List<Tried>> tried = new LinkedHashMap<>();
            SortedMap<Integer, String> done = work.done(job);
            done.forEach((part, text) -> {
                Fault fault = mishaps.faults().get(part);
                OutcomeText.read(mishaps.night().plan().rig(), text)
                        .ifPresent(outcomes -> tried.put(fault, tried(mishaps.of(fault), outcomes)));
            });
            return new Singles(job.revision(), mishaps.night(), tried, Progress.of(job, done.size(), job.parts()));
        });
    }

    private static List<Tried> tried(List<Mishap> mishaps, List<Outcome> outcomes) {
        List<Tried> tried = new ArrayList<>();
        for (int i = 0; i < Math.min(mishaps.size(), outcomes.size()); i++) {
            tried.add(new Tried(mishaps.get(i), outcomes.get(i)));
        }
        return tried;
    }

    /** What is known of bad nights; empty where nobody asked. */
    Optional<Drawn> nights(RigId rig) {
        return work.newest(rig, BadNightsLabour.SORT).map(job -> {
            DrawnNights wish = DrawnNights.read(job.wish());
            Night night = nights.of(rig, job.revision());
            SortedMap<Integer, String> done = work.done(job);
            BadNights.Bill bill = done.values().stream()
                    .flatMap(text -> BillText.read(night.plan().rig(), text).stream())
                    .reduce(BadNights.Bill.NOTHING, BadNights.Bill::and);
            return new Drawn(
                    job.revision(), night, wish.seed(), bill, Progress.of(job, wish.drawn(done.size()), wish.count()));
        });
    }

    /** Tries every single thing on the newest plan, unless that was done or is. */
    void trySingles(RigId id) {
        StoredRig rig = rigs.load(id);
        int faults = Mishaps.faults(rig.plan()).size();
        work.begin(id, SinglesLabour.SORT, rig.revision(), "", faults);
    }

    /** Draws some nights of the newest plan by the rates of its crew, unless that was done or is. */
    void tryNights(RigId id, long seed, int count) {
        DrawnNights wish = new DrawnNights(seed, count, runs.rates(id));
        work.begin(id, BadNightsLabour.SORT, rigs.newestRevision(id), wish.written(), wish.parts());
    }

    /** Ends what is worked out; what is known stays. */
    void endSingles(RigId id) {
        work.end(id, SinglesLabour.SORT);
    }

    void endNights(RigId id) {
        work.end(id, BadNightsLabour.SORT);
    }
}
