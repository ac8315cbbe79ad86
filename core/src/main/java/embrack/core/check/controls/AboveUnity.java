package embrack.core.check.controls;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.ControlEdit;
import embrack.core.plan.Plan;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Target;
import java.util.stream.Stream;

/** A level can be pushed above unity by a foot. */
final class AboveUnity implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.CONTROLS, "above-unity");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().switches().controlAssignments().stream()
                .flatMap(controlAssignment -> controlAssignment.targets().stream()
                        .filter(Target::isAboveUnity)
                        .map(target -> finding(subject.plan(), controlAssignment, target)));
    }

    private Finding finding(Plan plan, ControlAssignment controlAssignment, Target target) {
        return found(Severity.LOOK)
                .with("control", controlAssignment.at())
                .with("level", target)
                .with("top", plan.shown(target, target.programmed().highest()))
                .mend(
                        "cap",
                        new ControlEdit.Shape(
                                controlAssignment.at(),
                                target.device(),
                                target.part(),
                                plan.typed(target, target.range().from()),
                                plan.typed(target, target.range().to()),
                                target.range().curve(),
                                target.law(),
                                String.valueOf(target.topDecibels()),
                                "0"))
                .made();
    }
}
