package embrack.app.past;

import embrack.app.store.StoredRig;
import embrack.core.past.CameBack;
import embrack.core.plan.Plan;
import java.util.List;
import java.util.Optional;

/**
 * A copy of the plan that came back.
 *
 * @param path where its forms are sent
 * @param mark under which what was read waits; empty while nothing was
 * @param left the revision as which it left, 0 where that is not known and it is compared with the newest
 * @param isOfAnother whether it says that it left another rig
 * @param things what was changed in it, but for what is here already
 * @param same as many things are here as in the copy already
 */
record ReturnedPage(String path, String mark, int left, boolean isOfAnother, List<CameBack> things, long same) {

    /** A plan that was read, and as which revision of this rig it left. */
    record Read(Plan copy, Optional<Integer> left, boolean isOfAnother) {}

    static ReturnedPage none(StoredRig stored) {
        return new ReturnedPage(path(stored), "", 0, false, List.of(), 0);
    }

    static ReturnedPage of(StoredRig stored, String mark, Read read, Plan left) {
        List<CameBack> all = CameBack.of(left, read.copy(), stored.plan());
        return new ReturnedPage(
                path(stored),
                mark,
                read.left().orElse(0),
                read.isOfAnother(),
                all.stream().filter(thing -> !thing.isHere()).toList(),
                all.stream().filter(CameBack::isHere).count());
    }

    private static String path(StoredRig stored) {
        return "/rigs/%s/returned".formatted(stored.id());
    }
}
