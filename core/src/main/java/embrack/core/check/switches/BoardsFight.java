package embrack.core.check.switches;

import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.check.remedy.Spare;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
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
        return new RuleInfo(Topic.SWITCHES, "boards-fight");
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
                                && parts(plan, other).stream().anyMatch(parts(plan, one)::contains))
                        .limit(1)
                        .map(other -> finding(plan, one, other)));
    }

    /** What a switch changes; not what its box can only turn round, of which {@link TurnsRound} tells. */
    private static Set<Part> parts(Plan plan, Assignment assignment) {
        return assignment.steps().stream()
                .filter(s -> !plan.rig().chart(s.device()).isByToggle(s.action()))
                .map(s -> new Part(
                        s.device(), s.action().part(), s.action().verb().aspect()))
                .collect(Collectors.toSet());
    }

    private Finding finding(Plan plan, Assignment one, Assignment other) {
        Optional<Remedy> remedy = SpareSwitch.near(plan, one.at())
                .map(to -> new Remedy("give-second-press", new SwitchEdit.SpreadSteps(one.at(), Moment.AGAIN, 0, to))
                        .with("to", Spare.phrase(plan, to, one.at())));
        return found(Severity.LOOK)
                .about(List.of(one.at(), other.at()))
                .with("one", one.at())
                .with("other", other.at())
                .mend(remedy)
                .made();
    }
}
