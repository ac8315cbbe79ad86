package embrack.core.check.place;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.SwitchEdit;
import embrack.core.place.Safety;
import embrack.core.switches.Assignment;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import java.util.List;
import java.util.stream.Stream;

/** The switch that makes safe, or the kill switch, forgets a box. */
final class SafeIncomplete implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.PLACE, "safe-incomplete");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        var safety = new Safety(subject.plan());
        return subject.plan().switches().assignments().stream()
                .filter(a -> a.isFor(Duty.SAFE) || a.isFor(Duty.KILL))
                .flatMap(a -> {
                    List<Step> wanted = a.isFor(Duty.SAFE) ? safety.safe() : safety.stops();
                    List<Step> missing = wanted.stream()
                            .filter(step -> a.steps().stream()
                                    .noneMatch(s -> s.device().equals(step.device())
                                            && s.action().equals(step.action())))
                            .toList();
                    return missing.isEmpty() ? Stream.empty() : Stream.of(finding(a, missing));
                });
    }

    private Finding finding(Assignment assignment, List<Step> missing) {
        String duty = assignment.duty().orElseThrow().words();
        return found(Severity.LOOK)
                .about(assignment.at())
                .word("duty", duty)
                .with("missing", missing)
                .mend("add", new SwitchEdit.AddSteps(assignment.at(), Moment.PRESS, missing))
                .made();
    }
}
