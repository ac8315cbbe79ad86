package embrack.core.check.rule;

import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import java.util.List;

/** What rules look at: a plan and the proofs of its switches. */
public record Subject(Plan plan, List<Proof> proofs) {

    public Subject {
        proofs = List.copyOf(proofs);
    }
}
