package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.show.Running;
import embrack.core.show.Running.Part;
import embrack.core.show.Transition;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Two pads follow one another with a hard cut. */
final class HardBetweenPads implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.ORDER, "hard-between-pads");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return Tonight.of(subject).stream().flatMap(running -> check(running).stream());
    }

    private List<Finding> check(Running running) {
        List<Finding> found = new ArrayList<>();
        for (int i = 0; i + 1 < running.parts().size(); i++) {
            Part one = running.parts().get(i);
            Part next = running.parts().get(i + 1);
            Transition.Way way = one.entry().transition().way();
            if (one.pad().isPresent()
                    && next.pad().isPresent()
                    && (way == Transition.Way.HARD || way == Transition.Way.STRAIGHT_ON)) {
                found.add(found(Severity.LOOK)
                        .with("show", running.show().name())
                        .with("part", one.entry().name())
                        .with("from", one.pad().get().toString())
                        .with("to", next.pad().get().toString())
                        .made());
            }
        }
        return found;
    }
}
