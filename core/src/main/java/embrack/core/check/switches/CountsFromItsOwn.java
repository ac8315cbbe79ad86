package embrack.core.check.switches;

import embrack.core.chart.PartId;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.offer.Walk;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** A board that counts steps on from where it stands itself, and another one chooses sounds of the same box. */
final class CountsFromItsOwn implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "counts-from-its-own");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        return Walk.boards(plan).stream()
                .flatMap(board ->
                        Walk.receiver(plan, board).flatMap(receiver -> finding(plan, board, receiver)).stream());
    }

    private Optional<Finding> finding(Plan plan, DeviceId board, DeviceId receiver) {
        Set<PartId> sounds = new HashSet<>();
        Walk.planned(plan, board).forEach(part -> part.ifPresent(sounds::add));
        List<SwitchAt> others = plan.switches().assignments().stream()
                .filter(a -> !a.at().board().equals(board) && chooses(plan, a, receiver, sounds))
                .map(Assignment::at)
                .toList();
        return others.isEmpty()
                ? Optional.empty()
                : Optional.of(found(Severity.LOOK)
                        .about(others)
                        .with("board", board)
                        .with("receiver", receiver)
                        .with("others", others)
                        .made());
    }

    /** Whether it chooses something of which one holds, as the sounds of the walk do. */
    private static boolean chooses(Plan plan, Assignment assignment, DeviceId receiver, Set<PartId> sounds) {
        Set<String> families = new HashSet<>();
        plan.rig().model(receiver).parts().stream()
                .filter(part -> sounds.contains(part.id()))
                .forEach(part -> families.add(part.family()));
        return assignment.steps().stream()
                .filter(step ->
                        step.device().equals(receiver) && step.action().verb().isExclusive())
                .anyMatch(step -> plan.rig()
                        .model(receiver)
                        .part(step.action().part())
                        .filter(part -> families.contains(part.family()))
                        .isPresent());
    }
}
