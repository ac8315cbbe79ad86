package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.show.Show;
import embrack.core.show.Song;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Songs are called on the night, and no switch goes to one of them. */
final class NotCalled implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.ORDER, "not-called");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().book().tonight().stream()
                .filter(Show::anyOrder)
                .flatMap(show -> check(subject.plan(), show));
    }

    private Stream<Finding> check(Plan plan, Show show) {
        Set<TapeLabel> called = new HashSet<>();
        plan.switches()
                .assignments()
                .forEach(assignment ->
                        assignment.steps().forEach(step -> plan.title(step).ifPresent(called::add)));
        List<TapeLabel> missing = show.order().stream()
                .flatMap(entry -> entry.song().flatMap(plan.book()::find).stream())
                .map(Song::title)
                .filter(title -> !called.contains(title))
                .distinct()
                .toList();
        return missing.isEmpty()
                ? Stream.empty()
                : Stream.of(found(Severity.LOOK)
                        .with("show", show.name())
                        .with("songs", missing)
                        .made());
    }
}
