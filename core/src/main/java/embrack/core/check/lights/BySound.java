package embrack.core.check.lights;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.light.Pace;
import java.util.stream.Stream;

/** A chase goes by sound: talk and a knock move it, and nobody knows how fast it flashes. */
final class BySound implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.LIGHTS, "by-sound");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().lights().chases().stream()
                .filter(chase -> chase.pace() instanceof Pace.BySound)
                .filter(chase -> chase.at().isPresent())
                .map(chase -> found(Severity.NOTE)
                        .with("chase", chase.name())
                        .with("desk", chase.at().orElseThrow().desk())
                        .made());
    }
}
