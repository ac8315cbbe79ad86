package embrack.core.check.rule;

import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import embrack.core.way.Ways;
import java.util.List;

/**
 * What rules look at: a plan and the proofs of its switches.
 *
 * @param ways the ways through its rig
 */
public record Subject(Plan plan, List<Proof> proofs, Ways ways) {

    public Subject {
        proofs = List.copyOf(proofs);
    }
}
