package embrack.core.check.switches;

import embrack.core.check.remedy.Spare;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.SwitchEdit;
import embrack.core.offer.SpareSwitch;
import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Moment;
import java.util.stream.Stream;

/** A press waits to see whether it becomes a double press. */
final class HeldBack implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "held-back");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.proofs().stream().filter(HeldBack::explains).map(proof -> finding(subject.plan(), proof));
    }

    static boolean explains(Proof proof) {
        return proof.verdict() == Verdict.LATE
                && proof.moment() == Moment.PRESS
                && proof.compiled().heldBackMillis() > 0;
    }

    private Finding finding(Plan plan, Proof proof) {
        return found(Severity.LOOK)
                .about(proof.at())
                .with("millis", proof.compiled().heldBackMillis())
                .mend(SpareSwitch.near(plan, proof.at())
                        .map(to -> new Remedy(
                                        "give-own-switch",
                                        new SwitchEdit.SpreadSteps(proof.at(), Moment.DOUBLE_PRESS, 0, to))
                                .with("to", Spare.phrase(plan, to, proof.at()))))
                .made();
    }
}
