package embrack.core.check.switches;

import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.SwitchEdit;
import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.proof.Doing;
import embrack.core.sim.Cause;
import embrack.core.sim.Proof;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import embrack.core.world.Place;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** A step starts something that stands still without something else: a chase without its auto-run. */
final class StandsStill implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "stands-still");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Set<SwitchAt> said = new HashSet<>();
        return subject.blamed(Cause.StandsStill.class)
                .filter(blame -> said.add(blame.proof().orElseThrow().at()))
                .map(blame -> finding(
                        subject.plan(),
                        blame.proof().orElseThrow(),
                        blame.story().orElseThrow(),
                        subject.severity(blame.proof().orElseThrow())));
    }

    private Finding finding(Plan plan, Proof proof, Broken broken, Severity severity) {
        Place still = broken.without().orElseThrow().started();
        PartId need = broken.place().part();
        List<SwitchAt> others = plan.switches().assignments().stream()
                .filter(a -> !a.at().equals(proof.at()) && a.steps().stream().anyMatch(step -> turnsOn(step, broken)))
                .map(Assignment::at)
                .toList();
        Optional<Remedy> remedy = plan.rig().chart(broken.place().device()).actions().stream()
                .filter(action -> action.part().equals(need) && action.verb() == Verb.ON)
                .findFirst()
                .map(action -> new Remedy(
                        "add",
                        new SwitchEdit.AddSteps(
                                proof.at(),
                                broken.last() instanceof Doing.Foot foot ? foot.moment() : proof.moment(),
                                List.of(new Step(broken.place().device(), action)))));
        Found found = found(severity)
                .about(proof.at())
                .with("story", broken.phrase(plan))
                .with("place", new Fact.PartOf(still.device(), still.part()))
                .with("need", new Fact.PartOf(still.device(), need))
                .cause(others.isEmpty() ? "nobody" : "others")
                .with("others", others);
        return found.mend(remedy).made();
    }

    private static boolean turnsOn(Step step, Broken broken) {
        return step.device().equals(broken.place().device())
                && step.action().part().equals(broken.place().part())
                && step.action().verb() != Verb.OFF;
    }
}
