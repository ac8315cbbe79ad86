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

/** A switch that sends what its factory chose is to send something else. */
final class SendsItsOwn implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.sends-its-own", "The switch cannot be programmed");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<DeviceId, List<Stopped<Obstacle.SendsItsOwn>>> byBoard = Stopped.all(subject, Obstacle.SendsItsOwn.class)
                .collect(Collectors.groupingBy(s -> s.at().board(), TreeMap::new, Collectors.toList()));
        return byBoard.entrySet().stream().map(e -> finding(subject.plan(), e.getKey(), e.getValue()));
    }

    /** What the receiver learned can be learned anew, from what the switch sends. */
    private static Optional<Remedy> learnIt(Plan plan, Stopped<Obstacle.SendsItsOwn> stopped) {
        DeviceId device = stopped.step().step().device();
        LessonId lesson = LessonId.of(stopped.step().step().action());
        return Optional.ofNullable(plan.rig().device(device).learned().get(lesson))
                .map(learned -> new NumberEdit.PinNumber(device, lesson, learned.type(), "", ""))
                .filter(edit -> Mending.works(plan, edit, stopped.at()))
                .map(edit -> new Remedy("Learn it from the switch", edit));
    }

    private Finding finding(Plan plan, DeviceId board, List<Stopped<Obstacle.SendsItsOwn>> stopped) {
        List<SwitchAt> switches = stopped.stream().map(Stopped::at).distinct().toList();
        Set<String> sent = stopped.stream()
                .map(s -> "switch %d sends %s %d"
                        .formatted(
                                s.at().number(),
                                s.obstacle().type().shortName(),
                                s.obstacle().number()))
                .collect(Collectors.toCollection(LinkedHashSet::new));
        Optional<Remedy> remedy = learnIt(plan, stopped.getFirst()).or(() -> new OtherHardware(plan, board).remedy());
        return new Finding(
                info(),
                Severity.STOPS,
                plan.words(switches),
                "%s sends what its factory chose: %s.".formatted(plan.rig().name(board), Words.list(sent)),
                "What these steps need is something else, so it is never sent.",
                remedy.map(r -> "Have a board that can be programmed do the job, or give the receiver these numbers.")
                        .orElse("Give the receiver these numbers, if it can be set to them."),
                switches,
                remedy);
    }
}
