package embrack.app.store;

import embrack.core.check.Report;
import embrack.core.show.Cue;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Service;

/**
 * The reports of the rigs that were looked at last, so that after an edit only what it touched is proven anew. Two who
 * ask for one report wait for one.
 */
@Service
public class Reports {

    /** What is kept for each 512 MB that the server may use: so many reports at most, of so much weight together. */
    private static final int KEPT = 16;

    private static final long WEIGHT = 20_000;

    private static final double SHARE = Math.max(1, Runtime.getRuntime().maxMemory() / (512.0 * (1 << 20)));
    private static final int MOST_KEPT = (int) (KEPT * SHARE);

    private record Key(RigId rig, int revision) {}

    /** Of large shows fewer are kept: each cue counts for what its proof takes. */
    private final Memo<Key, Report> reports = Memo.ofWeight(
            (long) (WEIGHT * SHARE),
            report -> 1_000L
                    + report.plan().book().cues().stream().mapToInt(Cue::deeds).sum());

    private final Map<RigId, Report> latest = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<RigId, Report> eldest) {
            return size() > MOST_KEPT;
        }
    });

    /** The report of a rig as it is stored. */
    public Report of(StoredRig stored) {
        return reports.get(new Key(stored.id(), stored.revision()), () -> {
            Report before = latest.get(stored.id());
            Report now = before == null ? Report.of(stored.plan()) : Report.after(before, stored.plan());
            latest.put(stored.id(), now);
            return now;
        });
    }
}
