package embrack.core.check.switches;

import embrack.core.check.remedy.MissingLink;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Halted;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.Obstacle;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.stream.Stream;

/** A switch has a step on a box that no links from its board lead to. */
final class NoPath implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "no-path");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.halted(Obstacle.NoPath.class).stream()
                .filter(all -> all.stream().anyMatch(each -> each.at().isPresent()))
                .map(all -> finding(subject, all));
    }

    private Finding finding(Subject subject, List<Halted> all) {
        DeviceId sender = all.getFirst().sender();
        DeviceId device = all.getFirst().device();
        return found(Severity.STOPS)
                .halting(subject.plan(), all)
                .with("board", sender)
                .with("device", device)
                .with("devices", all.stream().map(Halted::device).distinct().toList())
                .mend(MissingLink.between(subject.plan().rig(), sender, device))
                .made();
    }
}
