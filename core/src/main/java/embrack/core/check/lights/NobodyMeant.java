package embrack.core.check.lights;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.name.TapeLabel;
import java.util.List;
import java.util.stream.Stream;

/** A look speaks of fixtures that hang there no more: taken down, or called something else now. */
final class NobodyMeant implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.LIGHTS, "nobody-meant");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Lights lights = subject.plan().lights();
        return lights.looks().stream().flatMap(look -> finding(lights, look));
    }

    private Stream<Finding> finding(Lights lights, Look look) {
        List<TapeLabel> gone = look.lines().stream()
                .map(Look.Line::who)
                .filter(who -> lights.meant(who).isEmpty())
                .distinct()
                .toList();
        return gone.isEmpty()
                ? Stream.empty()
                : Stream.of(found(Severity.LOOK)
                        .with("look", look.name())
                        .with("gone", gone)
                        .made());
    }
}
