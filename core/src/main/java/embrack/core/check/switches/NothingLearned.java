package embrack.core.check.switches;

import embrack.core.chart.LessonId;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.compile.Obstacle;
import embrack.core.edit.NumberEdit;
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

/** A step asks for something that the box has to be taught first. */
final class NothingLearned implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.nothing-learned", "The box has not learned a message for that");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<DeviceId, List<Stopped<Obstacle.NothingLearned>>> byDevice = Stopped.all(
                        subject, Obstacle.NothingLearned.class)
                .collect(Collectors.groupingBy(s -> s.step().step().device(), TreeMap::new, Collectors.toList()));
        return byDevice.entrySet().stream().map(e -> finding(subject.plan(), e.getKey(), e.getValue()));
    }

    private static boolean canBeChosen(Plan plan, DeviceId device, List<Stopped<Obstacle.NothingLearned>> stopped) {
        return plan.settled()
                .rig()
                .device(device)
                .learned()
                .containsKey(LessonId.of(stopped.getFirst().step().step().action()));
    }

    private Finding finding(Plan plan, DeviceId device, List<Stopped<Obstacle.NothingLearned>> stopped) {
        List<SwitchAt> switches = stopped.stream().map(Stopped::at).toList();
        Set<String> actions = stopped.stream()
                .map(s -> plan.rig().words(device, s.step().step().action()))
                .collect(Collectors.toCollection(LinkedHashSet::new));
        return new Finding(
                info(),
                Severity.STOPS,
                plan.words(switches),
                "%s learns its messages, and has none yet for: %s."
                        .formatted(plan.rig().name(device), Words.list(actions)),
                "Until it has learned one there is nothing to send.",
                canBeChosen(plan, device, stopped)
                        ? "Let Embrack choose a number, and have the box learn it."
                        : "No message that the boards can send and the box can learn is free, or all its "
                                + "inputs are taken. Use fewer of its functions, another board, or another box.",
                switches,
                canBeChosen(plan, device, stopped)
                        ? Optional.of(new Remedy("Choose the numbers", new NumberEdit.ChooseNumbers()))
                        : Optional.empty());
    }
}
