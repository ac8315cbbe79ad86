package embrack.core.check.controls;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.ControlEdit;
import embrack.core.gear.ControlType;
import embrack.core.plan.Plan;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Target;
import java.util.stream.Stream;

/** Toe down makes it quieter. */
final class Reversed implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.CONTROLS, "reversed");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().switches().controlAssignments().stream()
                .filter(controlAssignment -> controlAssignment.at().type() == ControlType.TREADLE)
                .flatMap(controlAssignment -> controlAssignment.targets().stream()
                        .filter(target -> target.range().isInverted())
                        .map(target -> finding(subject.plan(), controlAssignment, target)));
    }

    private Finding finding(Plan plan, ControlAssignment controlAssignment, Target target) {
        return found(Severity.NOTE)
                .with("control", controlAssignment.at())
                .with("level", target)
                .with("heel", plan.shown(target, target.at(0).amount().orElseThrow()))
                .with("toe", plan.shown(target, target.at(127).amount().orElseThrow()))
                .mend(
                        "turn-round",
                        new ControlEdit.Shape(
                                controlAssignment.at(),
                                target.device(),
                                target.part(),
                                plan.typed(target, target.range().to()),
                                plan.typed(target, target.range().from()),
                                target.range().curve(),
                                target.law(),
                                String.valueOf(target.topDecibels()),
                                target.capDecibels().map(String::valueOf).orElse("")))
                .made();
    }
}
