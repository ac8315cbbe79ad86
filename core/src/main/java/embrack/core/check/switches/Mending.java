package embrack.core.check.switches;

import embrack.core.edit.Edit;
import embrack.core.edit.Refused;
import embrack.core.plan.Plan;
import embrack.core.sim.Prover;
import embrack.core.sim.Verdict;
import embrack.core.switches.SwitchAt;

/** Tries an edit out before it is offered. */
final class Mending {

    private Mending() {}

    /** Whether a switch is proven after the edit. */
    static boolean works(Plan plan, Edit edit, SwitchAt at) {
        try {
            Plan mended = edit.apply(plan);
            return new Prover(mended)
                    .prove(mended.switches().at(at)).stream()
                            .allMatch(proof -> proof.verdict() == Verdict.EXACT || proof.verdict() == Verdict.LATE);
        } catch (Refused e) {
            return false;
        }
    }
}
