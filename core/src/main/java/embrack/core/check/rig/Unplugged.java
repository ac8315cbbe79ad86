package embrack.core.check.rig;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A box that no cable reaches and that no switch is about yet: forgotten, or not needed. */
final class Unplugged implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("rig.unplugged", "A box has no cable");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        return plan.rig().devices().stream()
                .filter(d -> plan.rig().cables().stream().noneMatch(c -> c.isIn(d.id())))
                .filter(d -> !plan.rig().model(d.id()).cablePorts().isEmpty() && isIdle(plan, d))
                .map(d -> new Finding(info(), Severity.NOTE, d.name().text(),
                        "No cable is in %s and no switch is about it.".formatted(d.name()),
                        "It can neither hear nor say anything.",
                        "Cable it, or leave it at home.", List.of(), Optional.empty()));
    }

    private static boolean isIdle(Plan plan, Device device) {
        return plan.switches().using(device.id()).isEmpty()
                && plan.switches().of(device.id()).stream().allMatch(a -> a.steps().isEmpty());
    }
}
