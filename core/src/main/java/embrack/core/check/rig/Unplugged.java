package embrack.core.check.rig;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.plan.Plan;
import embrack.core.rig.Area;
import embrack.core.rig.Device;
import java.util.stream.Stream;

/**
 * A box that no link reaches and that no switch is about yet: forgotten, or not needed. In the crew's own case it is a
 * spare.
 */
final class Unplugged implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.RIG, "unplugged");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        return plan.rig().devices().stream()
                .filter(d -> plan.rig().area(d.id()) != Area.CREW)
                .filter(d -> plan.rig().links().stream().noneMatch(c -> c.isIn(d.id())))
                .filter(d -> !plan.rig().model(d.id()).midiPorts().isEmpty()
                        && plan.rig().appsIn(d.id()).isEmpty()
                        && !plan.rig().model(d.id()).isApp()
                        && isIdle(plan, d))
                .map(d -> found(Severity.NOTE).with("device", d).made());
    }

    private static boolean isIdle(Plan plan, Device device) {
        return plan.switches().using(device.id()).isEmpty()
                && plan.switches().of(device.id()).stream()
                        .allMatch(a -> a.steps().isEmpty());
    }
}
