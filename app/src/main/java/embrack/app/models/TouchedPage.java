package embrack.app.models;

import embrack.app.frame.FindingView;
import embrack.app.frame.Spoken;
import embrack.app.store.StoredRig;
import embrack.core.check.Impact;
import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.gear.Model;
import embrack.core.plan.Plan;
import java.util.List;

/** Which rigs a change of a model touches, and how. */
record TouchedPage(String id, String name, List<TouchedRig> rigs) {

    /**
     * A rig that uses the model.
     *
     * @param refusal why it cannot follow the change; empty when it can
     * @param reprogram which switches would send something else; empty for none
     */
    record TouchedRig(
            long id,
            String name,
            String refusal,
            List<String> lost,
            String reprogram,
            List<FindingView> arising,
            List<FindingView> settled,
            boolean isSame) {}

    static TouchedPage of(Model changed, List<StoredRig> rigs) {
        return new TouchedPage(
                changed.id().text(),
                changed.name().text(),
                rigs.stream().map(rig -> touched(rig, changed)).toList());
    }

    private static TouchedRig touched(StoredRig rig, Model changed) {
        Plan before = rig.plan();
        String name = before.rig().name().text();
        try {
            Plan after = new GearEdit.ReplaceModel(changed).apply(before);
            Impact impact = Impact.of(before, after);
            return new TouchedRig(
                    rig.id().number(),
                    name,
                    "",
                    impact.lost(),
                    impact.reprogram().isEmpty() ? "" : before.words(impact.reprogram()),
                    FindingView.all(impact.arising().stream(), after),
                    FindingView.all(impact.settled().stream(), before),
                    impact.isNone());
        } catch (Refused refused) {
            return new TouchedRig(
                    rig.id().number(),
                    name,
                    Spoken.words().say(refused.phrase()),
                    List.of(),
                    "",
                    List.of(),
                    List.of(),
                    false);
        }
    }
}
