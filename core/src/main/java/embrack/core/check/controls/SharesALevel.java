package embrack.core.check.controls;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.ControlEdit;
import embrack.core.level.Takeover;
import embrack.core.plan.Plan;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Target;
import embrack.core.word.Fact;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Two controls move one level, and one of them at once: it stands where it was left, so the level jumps there from
 * where the other one brought it.
 */
final class SharesALevel implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.CONTROLS, "shares-a-level");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().switches().controlAssignments().stream()
                .flatMap(control ->
                        shared(subject.plan(), control)
                                .map(target -> finding(subject.plan(), control, target))
                                .stream());
    }

    private Finding finding(Plan plan, ControlAssignment control, Target target) {
        return found(Severity.LOOK)
                .with("control", control.at())
                .with("level", target)
                .with(
                        "others",
                        others(plan, control, target)
                                .map(other -> Fact.of(other.at()))
                                .toList())
                .mend("scale", new ControlEdit.ChooseTakeover(control.at(), Takeover.SCALED))
                .made();
    }

    /** The first level of a control that jumps which another control moves as well. */
    static Optional<Target> shared(Plan plan, ControlAssignment control) {
        return control.takeover() == Takeover.JUMP
                ? control.targets().stream()
                        .filter(target ->
                                others(plan, control, target).findAny().isPresent())
                        .findFirst()
                : Optional.empty();
    }

    private static Stream<ControlAssignment> others(Plan plan, ControlAssignment control, Target target) {
        List<ControlAssignment> all = plan.switches().moving(target.device());
        return all.stream()
                .filter(other -> !other.at().equals(control.at())
                        && other.targets().stream()
                                .anyMatch(t -> t.device().equals(target.device())
                                        && t.part().equals(target.part())));
    }
}
