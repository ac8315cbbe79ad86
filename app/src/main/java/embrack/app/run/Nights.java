package embrack.app.run;

import embrack.app.store.Memo;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.run.Mishaps;
import embrack.core.run.Night;
import org.springframework.stereotype.Component;

/** The nights that revisions of rigs plan, made ready to be played. */
@Component
class Nights {

    private static final int MOST = 8;

    private record Key(RigId rig, int revision) {}

    private final RigStore rigs;
    private final Reports reports;
    private final Memo<Key, Mishaps> tried = Memo.ofCount(MOST);

    Nights(RigStore rigs, Reports reports) {
        this.rigs = rigs;
        this.reports = reports;
    }

    /** The night that a revision plans. */
    Night of(RigId rig, int revision) {
        return of(rigs.loadAt(rig, revision));
    }

    /** The night that a rig plans. */
    Night of(StoredRig rig) {
        return Night.of(reports.of(rig));
    }

    /** A rig as it was when a night of it was played. */
    StoredRig played(RigId rig, int revision) {
        return rigs.loadAt(rig, revision);
    }

    /** All that can go wrong in it, one by one. */
    Mishaps mishaps(RigId rig, int revision) {
        return tried.get(new Key(rig, revision), () -> new Mishaps(of(rig, revision)));
    }
}
