package embrack.core.check.lights;

import embrack.core.check.rule.Edited;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.light.Shortfall;
import embrack.core.name.TapeLabel;
import java.util.List;
import java.util.stream.Stream;

/** What hangs cannot show what a look asks for: another colour, seen at once, or no flashes. */
final class CannotShow implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.LIGHTS, "cannot-show");
    }

    @Override
    public boolean isLeftAlone(Edited edited) {
        return edited.isLightAlike();
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Lights lights = subject.plan().lights();
        return lights.looks().stream()
                .flatMap(look -> Stream.of(true, false).flatMap(isSteady -> finding(lights, look, isSteady)));
    }

    private Stream<Finding> finding(Lights lights, Look look, boolean isSteady) {
        List<TapeLabel> lacking = lights.shortfalls(look, Shortfall.SEEN_AT_ONCE).stream()
                .filter(shortfall -> shortfall.isSteady() == isSteady)
                .map(shortfall -> shortfall.fixture().name())
                .toList();
        return lacking.isEmpty()
                ? Stream.empty()
                : Stream.of(found(Severity.NOTE)
                        .cause(isSteady ? "steady" : "colour")
                        .with("look", look.name())
                        .with("fixtures", lacking)
                        .with("count", lacking.size())
                        .made());
    }
}
