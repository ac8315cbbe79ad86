package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.switches.Duty;
import java.util.stream.Stream;

/** A switch wears a name and does nothing. */
final class NoSteps implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "no-steps");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().switches().assignments().stream()
                .filter(a -> a.steps().isEmpty()
                        && (a.label().isPresent() || a.duty().isPresent()))
                .map(a -> found(Severity.NOTE)
                        .about(a.at())
                        .cause(a.label().isPresent() ? "tape" : "duty")
                        .with("tape", a.label().map(Object::toString).orElse(""))
                        .word("duty", a.duty().map(Duty::words).orElse(""))
                        .made());
    }
}
