package embrack.core.check.rule;

import embrack.core.plan.Plan;
import embrack.core.sim.BookProof;
import embrack.core.sim.ControlProof;
import embrack.core.sim.Proof;
import embrack.core.switches.Moment;
import embrack.core.way.Ways;
import java.util.List;

/**
 * What rules look at: a plan and the proofs of its switches.
 *
 * @param controlAssignments the proofs of its treadles, faders and knobs
 * @param book the proofs of its cues, and how the show runs
 * @param ways the ways through its rig
 */
public record Subject(Plan plan, List<Proof> proofs, List<ControlProof> controlAssignments, BookProof book, Ways ways) {

    public Subject {
        proofs = List.copyOf(proofs);
        controlAssignments = List.copyOf(controlAssignments);
    }

    /**
     * How grave it is that a switch fails in some state: it stops the show, unless cues say when it is pressed and it
     * is right wherever they do.
     */
    public Severity severity(Proof proof) {
        return proof.moment() == Moment.PRESS && book.run().isRightAsPlayed(proof.at())
                ? Severity.LOOK
                : Severity.STOPS;
    }
}
