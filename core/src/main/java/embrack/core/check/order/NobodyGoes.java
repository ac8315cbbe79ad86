package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import embrack.core.show.Transition;
import embrack.core.switches.Duty;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** A part waits for a press, and no switch is for it. */
final class NobodyGoes implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.ORDER, "nobody-goes");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        boolean go = subject.plan().switches().assignments().stream().anyMatch(a -> a.isFor(Duty.GO));
        return go ? Stream.empty() : subject.plan().book().tonight().stream().flatMap(show -> check(show).stream());
    }

    private List<Finding> check(Show show) {
        List<Finding> found = new ArrayList<>();
        for (int i = 0; i + 1 < show.order().size(); i++) {
            Entry next = show.order().get(i + 1);
            if (show.order().get(i).transition().way() == Transition.Way.ON_DEMAND
                    && next.press().isEmpty()) {
                found.add(found(Severity.STOPS)
                        .with("show", show.name())
                        .with("part", next.name())
                        .made());
            }
        }
        return found;
    }
}
