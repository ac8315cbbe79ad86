package embrack.core.check.switches;

import embrack.core.chart.LearnableId;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Halted;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.Obstacle;
import embrack.core.edit.NumberEdit;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.word.Fact;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A step asks for something that the box has to be taught first. */
final class NothingLearned implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "nothing-learned");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<DeviceId, List<Stopped<Obstacle.NothingLearned>>> byDevice = Stopped.all(
                        subject, Obstacle.NothingLearned.class)
                .collect(Collectors.groupingBy(s -> s.step().step().device(), TreeMap::new, Collectors.toList()));
        return byDevice.entrySet().stream().map(e -> finding(subject, e.getKey(), e.getValue()));
    }

    private static boolean canBeChosen(Plan plan, DeviceId device, List<Stopped<Obstacle.NothingLearned>> stopped) {
        return plan.settled()
                .rig()
                .device(device)
                .learned()
                .containsKey(LearnableId.of(stopped.getFirst().step().step().action()));
    }

    private Finding finding(Subject subject, DeviceId device, List<Stopped<Obstacle.NothingLearned>> stopped) {
        Plan plan = subject.plan();
        List<Fact> deeds = Stopped.deeds(stopped);
        List<Halted> all = subject.halted(Obstacle.NothingLearned.class).stream()
                .filter(group -> group.getFirst().device().equals(device))
                .flatMap(List::stream)
                .toList();
        return found(Severity.STOPS)
                .halting(plan, all)
                .with("device", device)
                .with("deeds", deeds)
                .mend(
                        canBeChosen(plan, device, stopped)
                                ? Optional.of(new Remedy("choose-numbers", new NumberEdit.ChooseNumbers()))
                                : Optional.empty())
                .made();
    }
}
