package embrack.core.check.switches;

import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.compile.Compiler;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.SwitchMode;
import embrack.core.offer.SpareSwitch;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A switch that remembers whether it is on, and another one that changes the same thing behind its back. */
final class BoardsFight implements Rule {

    private record Part(DeviceId device, PartId part, Aspect aspect) {}

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.boards-fight", "Two switches disagree about the state");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        var compiler = new Compiler(plan, subject.ways());
        List<Assignment> alternating = plan.switches().assignments().stream()
                .filter(a -> !a.steps(Moment.AGAIN).isEmpty())
                .filter(a -> compiler.compile(a).mode() == SwitchMode.ALTERNATING)
                .toList();
        return alternating.stream()
                .flatMap(one -> plan.switches().assignments().stream()
                        .filter(other -> other != one
                                && !(alternating.contains(other) && other.at().compareTo(one.at()) < 0)
                                && parts(other).stream().anyMatch(parts(one)::contains))
                        .limit(1)
                        .map(other -> finding(plan, one, other)));
    }

    private static Set<Part> parts(Assignment assignment) {
        return assignment.steps().stream()
                .map(s -> new Part(
                        s.device(), s.action().part(), s.action().verb().aspect()))
                .collect(Collectors.toSet());
    }

    private Finding finding(Plan plan, Assignment one, Assignment other) {
        Optional<Remedy> remedy = SpareSwitch.near(plan, one.at())
                .map(to -> new Remedy(
                        "Give the second press " + SpareSwitch.words(plan, to, one.at()),
                        new SwitchEdit.SpreadSteps(one.at(), Moment.AGAIN, 0, to)));
        return new Finding(
                info(),
                Severity.LOOK,
                plan.words(List.of(one.at(), other.at())),
                "%s remembers whether it was pressed; %s changes the same and does not tell it."
                        .formatted(plan.words(one.at()), plan.words(other.at())),
                "After the other was pressed, the next press of the first does nothing.",
                "Give each state a switch of its own: one opens, one closes.",
                List.of(one.at(), other.at()),
                remedy);
    }
}
