package embrack.core.check.power;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.power.PortLoad;
import embrack.core.power.PowerPlan;
import embrack.core.rig.Rig;
import java.util.stream.Stream;

/**
 * More hangs on a port than it gives. Source of what ports give: USB 2.0 Specification, 7.2.1: 500 mA, and 100 mA
 * behind a hub without a supply.
 */
final class TooMuchPower implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.POWER, "too-much");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return new PowerPlan(rig)
                .loads().stream().filter(load -> load.over() > 0).map(load -> finding(load));
    }

    private Finding finding(PortLoad load) {
        return found(Severity.STOPS)
                .with("port", load.port())
                .cause(load.own() == 0 ? "boxes" : "hub")
                .with("draw", load.draw() - load.own())
                .with("gives", load.gives())
                .with("before-hub", load.overBeforeHub())
                .with("over", load.over())
                .with("boxes", load.devices())
                .made();
    }
}
