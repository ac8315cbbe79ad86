package embrack.app.store;

import embrack.core.check.Report;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Service;

/** The reports of the rigs that were looked at last, so that after an edit only what it touched is proven anew. */
@Service
public class Reports {

    private static final int MOST_KEPT = 16;

    private final Map<RigId, Report> latest = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<RigId, Report> eldest) {
            return size() > MOST_KEPT;
        }
    };

    /** The report of a rig as it is stored. */
    public Report of(StoredRig stored) {
        Report before;
        synchronized (latest) {
            before = latest.get(stored.id());
        }
        Report now = before == null ? Report.of(stored.plan()) : Report.after(before, stored.plan());
        synchronized (latest) {
            latest.put(stored.id(), now);
        }
        return now;
    }
}
