package embrack.core.check.rule;

import embrack.core.plan.Plan;
import embrack.core.way.RigChange;

/**
 * What an edit made of a plan.
 *
 * @param rig what it changed of the rig, as messages meet it
 */
public record Edited(Plan before, Plan after, RigChange rig) {

    /** Whether what hangs and what it can show is as it was. */
    public boolean isLightAlike() {
        return before.lights().equals(after.lights());
    }

    /** Whether all that is ever sent is as it was, and whoever hears it. */
    public boolean isPlayedAlike() {
        return rig.isNone()
                && before.book().equals(after.book())
                && before.switches().equals(after.switches())
                && before.practices().equals(after.practices());
    }
}
