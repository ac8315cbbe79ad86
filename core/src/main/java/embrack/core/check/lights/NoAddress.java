package embrack.core.check.lights;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.FixtureEdit;
import embrack.core.light.Fixture;
import embrack.core.name.TapeLabel;
import java.util.List;
import java.util.stream.Stream;

/** Fixtures hang there and listen to no slot. */
final class NoAddress implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.LIGHTS, "no-address");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        List<TapeLabel> without = subject.plan().lights().fixtures().stream()
                .filter(fixture -> fixture.at().isEmpty())
                .map(Fixture::name)
                .toList();
        return without.isEmpty()
                ? Stream.empty()
                : Stream.of(found(Severity.LOOK)
                        .with("fixtures", without)
                        .with("count", without.size())
                        .mend("address-all", new FixtureEdit.AddressAll())
                        .made());
    }
}
