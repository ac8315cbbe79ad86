package embrack.core.check.switches;

import embrack.core.chart.Verb;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.SwitchEdit;
import embrack.core.rig.Rig;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.world.Lane;
import embrack.core.world.World;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A step undoes an earlier one of the same press, with no wait between: only the later one is to be seen. */
final class UndoesItself implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "undoes-itself");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return subject.plan().switches().assignments().stream()
                .flatMap(assignment -> assignment.moments().entrySet().stream()
                        .flatMap(e -> findings(rig, assignment, e.getKey(), e.getValue())));
    }

    private Stream<Finding> findings(Rig rig, Assignment assignment, Moment moment, List<Step> steps) {
        return IntStream.range(0, steps.size())
                .boxed()
                .flatMap(i -> IntStream.range(i + 1, steps.size())
                        .takeWhile(j -> steps.get(j).waitMillis() == 0)
                        .filter(j -> undoes(rig, steps.get(i), steps.get(j)))
                        .limit(1)
                        .mapToObj(j -> finding(assignment, moment, i, steps.get(i), steps.get(j))));
    }

    private static boolean undoes(Rig rig, Step earlier, Step later) {
        boolean counts = earlier.action().verb().aspect().isCount();
        boolean sameLane = lane(rig, earlier).equals(lane(rig, later));
        boolean sameState = earlier.action().equals(later.action())
                && earlier.action()
                        .verb()
                        .leaves(earlier.action().amount().orElse(0))
                        .isPresent();
        return sameLane && !counts && !sameState || stops(earlier, later);
    }

    /** Whether all is stopped of what one step has just started. */
    private static boolean stops(Step earlier, Step later) {
        Verb verb = earlier.action().verb();
        return later.action().verb() == Verb.STOP_ALL
                && earlier.device().equals(later.device())
                && verb.aspect() == Verb.STOP_ALL.aspect()
                && verb.applyTo(0, 0) != 0;
    }

    private static Lane lane(Rig rig, Step step) {
        return Lane.of(rig, World.place(step.device(), step.action()));
    }

    private Finding finding(Assignment assignment, Moment moment, int index, Step earlier, Step later) {
        boolean twice = earlier.action().equals(later.action());
        return found(Severity.LOOK)
                .about(assignment.at())
                .cause(twice ? "twice" : "undone")
                .with("earlier", earlier)
                .with("later", later)
                .mend("remove", new SwitchEdit.RemoveStep(assignment.at(), moment, index, earlier))
                .made();
    }
}
