package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import java.util.stream.Stream;

/** A switch does something, and nothing beside it says what. */
final class NoTape implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "no-tape");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().switches().assignments().stream()
                .filter(a -> !a.steps().isEmpty() && a.label().isEmpty())
                .map(a -> found(Severity.NOTE).about(a.at()).made());
    }
}
