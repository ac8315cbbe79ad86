package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.compile.Obstacle;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A step asks for something that the hardware doing the job today has no message for. */
final class NoChartLine implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.no-chart-line", "The box has no message for that");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<DeviceId, List<Stopped<Obstacle.NoChartLine>>> byDevice = Stopped.all(subject, Obstacle.NoChartLine.class)
                .collect(Collectors.groupingBy(s -> s.step().step().device(), TreeMap::new, Collectors.toList()));
        return byDevice.entrySet().stream().map(e -> finding(subject.plan(), e.getKey(), e.getValue()));
    }

    private Finding finding(Plan plan, DeviceId device, List<Stopped<Obstacle.NoChartLine>> stopped) {
        List<SwitchAt> switches = stopped.stream().map(Stopped::at).toList();
        Set<String> actions = stopped.stream()
                .map(s -> plan.rig().words(device, s.step().step().action()))
                .collect(Collectors.toCollection(LinkedHashSet::new));
        return new Finding(
                info(),
                Severity.STOPS,
                plan.words(switches),
                "%s has no message for: %s.".formatted(plan.rig().name(device), Words.list(actions)),
                "The chart of %s has no line for it, so nothing can be sent."
                        .formatted(plan.rig().model(device).name()),
                "Remove these steps, or have hardware do the job that can do them.",
                switches,
                Optional.empty());
    }
}
