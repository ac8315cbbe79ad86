package embrack.app.store.work;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.SchedulableInstance;
import embrack.app.store.Because;
import embrack.app.store.NoSuchRig;
import embrack.app.store.RigDeleted;
import embrack.app.store.RigId;
import embrack.core.edit.Refused;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import javax.sql.DataSource;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Long work on rigs: begun and ended by people, done in parts by whichever server is free, each part once. Of each sort
 * a rig has the newest alone. What was begun last catches up first, so that nobody waits for all that others asked for.
 */
@Service
public class LongWork {

    /** As many jobs go on for one crew at the same time. */
    private static final int MOST_OF_A_CREW = 6;

    private final JobMapper mapper;
    private final SchedulerClient tasks;

    LongWork(JobMapper mapper, DataSource database) {
        this.mapper = mapper;
        this.tasks = SchedulerClient.Builder.create(new TransactionAwareDataSourceProxy(database))
                .tableName(Workshop.TABLE)
                .enablePriority()
                .build();
    }

    /**
     * Begins work on a rig, and ends what there was of its sort; goes on with that if it is the same.
     *
     * @param wish what exactly is to be done, at most 1000 letters
     * @param parts in how many parts, 0 to 5000
     * @throws Refused where too much goes on for the crew
     */
    @Transactional
    public Job begin(RigId rig, String sort, int revision, String wish, int parts) {
        mapper.lock(rig.number()).orElseThrow(() -> new NoSuchRig(rig));
        Optional<Job> before = newest(rig, sort).filter(job -> !job.isEnded());
        if (before.isPresent()
                && before.get().revision() == revision
                && before.get().wish().equals(wish)) {
            return before.get();
        }
        if (mapper.goingBeside(rig.number()) >= MOST_OF_A_CREW) {
            throw new Refused("what", Because.of("no.work").with("most", MOST_OF_A_CREW));
        }
        mapper.forget(rig.number(), sort);
        long job = mapper.begin(rig.number(), sort, revision, wish, parts);
        List<SchedulableInstance<?>> all = new ArrayList<>();
        for (int part = 0; part < parts; part++) {
            all.add(Workshop.task(job, part));
        }
        tasks.scheduleBatch(all);
        return new Job(job, rig, sort, revision, wish, parts, false, false);
    }

    /** The newest of its sort, going on, done or ended. */
    @Transactional(readOnly = true)
    public Optional<Job> newest(RigId rig, String sort) {
        return mapper.newest(rig.number(), sort).map(LongWork::job);
    }

    static Job job(JobMapper.Row row) {
        return new Job(
                row.id(),
                new RigId(row.rig()),
                row.sort(),
                row.revision(),
                row.wish(),
                row.parts(),
                row.isEnded(),
                row.hasFailed());
    }

    /** What came of the parts that are done, by their numbers from 0. */
    @Transactional(readOnly = true)
    public SortedMap<Integer, String> done(Job job) {
        SortedMap<Integer, String> done = new TreeMap<>();
        mapper.done(job.id()).forEach(part -> done.put(part.n(), part.result()));
        return done;
    }

    /** Ends the newest of its sort; what is done stays. */
    @Transactional
    public void end(RigId rig, String sort) {
        mapper.end(rig.number(), sort);
    }

    @EventListener
    void deleted(RigDeleted gone) {
        mapper.endAll(gone.rig().number());
    }
}
