package embrack.core.check.power;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.power.PowerPlan;
import embrack.core.rig.Rig;
import java.util.stream.Stream;

/** A box that nothing powers. */
final class NoPower implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.POWER, "none");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return new PowerPlan(rig)
                .feedings().stream()
                        .filter(feeding -> !feeding.isFed()
                                && !rig.linksIn(feeding.device()).isEmpty())
                        .map(feeding -> found(Severity.STOPS)
                                .needing(feeding.device(), subject)
                                .with("device", feeding.device())
                                .with(
                                        "needs",
                                        rig.model(feeding.device())
                                                .power()
                                                .orElseThrow()
                                                .words())
                                .made());
    }
}
