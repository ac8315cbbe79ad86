package embrack.core.check.lights;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.light.DataLine;
import java.util.stream.Stream;

/** More fixtures hang on one line of data than its sender drives. */
final class LongLine implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.LIGHTS, "long-line");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return DataLine.of(subject.plan().lights()).stream()
                .filter(DataLine::isTooLong)
                .map(line -> found(Severity.LOOK)
                        .with("universe", line.universe())
                        .with("count", line.fixtures().size())
                        .with("last", line.fixtures().get(DataLine.MOST - 1).name())
                        .made());
    }
}
