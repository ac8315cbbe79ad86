package embrack.core.check.controls;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.ControlEdit;
import embrack.core.level.Takeover;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Target;
import java.util.stream.Stream;

/** A level jumps to where the control happens to stand, and no other control moves it. */
final class Jumps implements Rule {

    private static final int HALF_WAY = 64;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.CONTROLS, "jumps");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().switches().controlAssignments().stream()
                .filter(controlAssignment -> controlAssignment.takeover() == Takeover.JUMP
                        && !controlAssignment.targets().isEmpty()
                        && SharesALevel.shared(subject.plan(), controlAssignment)
                                .isEmpty())
                .map(controlAssignment -> finding(controlAssignment));
    }

    private Finding finding(ControlAssignment controlAssignment) {
        Target target = controlAssignment.targets().getFirst();
        int top = target.at(127).amount().orElseThrow();
        return found(Severity.LOOK)
                .with("control", controlAssignment.at())
                .with("level", target)
                .with(
                        "jump",
                        target.law().move(top, target.at(HALF_WAY).amount().orElseThrow(), target.topDecibels()))
                .mend("scale", new ControlEdit.ChooseTakeover(controlAssignment.at(), Takeover.SCALED))
                .made();
    }
}
