package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.OrderEdit;
import embrack.core.offer.Shortening;
import embrack.core.show.Running;
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
                        .mend(() -> Shortening.of(running).stream().map(way -> remedy(running, way)))
                        .made())
                .stream();
    }

    private static Remedy remedy(Running running, Shortening way) {
        int part = way.entry().number();
        Remedy remedy = way.isLeftOut()
                ? new Remedy(
                        "leave-out", new OrderEdit.RemovePart(running.show().id(), part))
                : new Remedy("say-less", new OrderEdit.TakeAsLong(running.show().id(), part, way.micros()))
                        .with("length", way.micros());
        return remedy.with("part", way.entry().name()).with("gained", way.gained());
    }
}
