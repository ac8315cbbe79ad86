package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Halted;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.Obstacle;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.word.Fact;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A step asks for something that the hardware doing the job today has no message for. */
final class NoChartLine implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "no-chart-line");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<DeviceId, List<Stopped<Obstacle.NoChartLine>>> byDevice = Stopped.all(subject, Obstacle.NoChartLine.class)
                .collect(Collectors.groupingBy(s -> s.step().step().device(), TreeMap::new, Collectors.toList()));
        return byDevice.entrySet().stream().map(e -> finding(subject, e.getKey(), e.getValue()));
    }

    private Finding finding(Subject subject, DeviceId device, List<Stopped<Obstacle.NoChartLine>> stopped) {
        Plan plan = subject.plan();
        List<Fact> deeds = Stopped.deeds(stopped);
        List<Halted> all = subject.halted(Obstacle.NoChartLine.class).stream()
                .filter(group -> group.getFirst().device().equals(device))
                .flatMap(List::stream)
                .toList();
        return found(Severity.STOPS)
                .halting(plan, all)
                .with("device", device)
                .with("deeds", deeds)
                .with("model", plan.rig().model(device).name())
                .made();
    }
}
