package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import java.util.stream.Stream;

/** The show is longer than its slot. */
final class TooLong implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.ORDER, "too-long");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return Tonight.of(subject)
                .filter(running -> running.roomMicros().filter(room -> room < 0).isPresent())
                .map(running -> found(Severity.LOOK)
                        .with("show", running.show().name())
                        .with("takes", running.endMicros())
                        .with("over", -running.roomMicros().orElseThrow())
                        .made())
                .stream();
    }
}
