package embrack.core.check.switches;

import embrack.core.chart.Action;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.SwitchEdit;
import embrack.core.plan.Plan;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.word.Fact;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A step starts something that stands still without something else: a chase without its auto-run. */
final class StandsStill implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "stands-still");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().switches().assignments().stream()
                .flatMap(assignment -> assignment.moments().entrySet().stream()
                        .flatMap(e -> e.getValue().stream()
                                .flatMap(step -> need(subject.plan(), step)
                                        .filter(need -> isMissing(e.getValue(), step, need))
                                        .map(need -> finding(subject.plan(), assignment, e.getKey(), step, need))
                                        .stream())));
    }

    private static Optional<PartId> need(Plan plan, Step step) {
        boolean starts = step.action().verb() != Verb.OFF && step.action().verb() != Verb.STOP;
        return starts ? plan.rig().chart(step.device()).need(step.action().part()) : Optional.empty();
    }

    private static boolean isMissing(List<Step> steps, Step step, PartId need) {
        return steps.stream()
                .noneMatch(other -> other.device().equals(step.device())
                        && other.action().part().equals(need));
    }

    private Finding finding(Plan plan, Assignment assignment, Moment moment, Step step, PartId need) {
        Optional<Remedy> remedy = plan.rig().chart(step.device()).actions().stream()
                .filter(action -> action.part().equals(need))
                .filter(action -> action.verb() == Verb.ON || action.verb() == Verb.TOGGLE)
                .findFirst()
                .map((Action action) -> new Remedy(
                        "add",
                        new SwitchEdit.AddSteps(assignment.at(), moment, List.of(new Step(step.device(), action)))));
        return found(Severity.STOPS)
                .about(assignment.at())
                .word("moment", moment.words())
                .with("place", new Fact.PartOf(step.device(), step.action().part()))
                .with("need", new Fact.PartOf(step.device(), need))
                .mend(remedy)
                .made();
    }
}
