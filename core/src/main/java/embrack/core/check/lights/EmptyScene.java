package embrack.core.check.lights;

import embrack.core.chart.PartId;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.DeskEdit;
import embrack.core.light.Scenes;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Cue;
import embrack.core.show.CueAt;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Something recalls a scene into which nobody put a look: it is dark, or holds what the last house left there. */
final class EmptyScene implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.LIGHTS, "empty-scene");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        return plan.lights().held().stream()
                .map(held -> held.desk())
                .distinct()
                .flatMap(desk -> Stream.concat(
                        Scenes.of(plan.rig().chart(desk)).places().stream()
                                .filter(place ->
                                        plan.lights().holds(desk, place).isEmpty())
                                .flatMap(place -> finding(
                                        plan,
                                        desk,
                                        place.scene(),
                                        (steps, i) -> plan.placeOf(steps, i)
                                                .filter(place::equals)
                                                .isPresent(),
                                        place.bank().map(bank -> "bank").orElse("scene"),
                                        place.bank())),
                        Scenes.chases(plan.rig().chart(desk)).stream()
                                .filter(part ->
                                        plan.lights().chaseAt(desk, part).isEmpty())
                                .flatMap(part ->
                                        finding(plan, desk, part, (steps, i) -> true, "chase", Optional.empty()))));
    }

    /** Whether one of some steps that follow one another is what is looked for. */
    private interface Which {
        boolean test(List<Step> steps, int index);
    }

    private Stream<Finding> finding(
            Plan plan, DeviceId desk, PartId scene, Which which, String cause, Optional<PartId> bank) {
        List<SwitchAt> switches = plan.switches().assignments().stream()
                .filter(assignment ->
                        assignment.moments().values().stream().anyMatch(steps -> recalls(steps, desk, scene, which)))
                .map(Assignment::at)
                .toList();
        List<CueAt> cues = plan.book().songs().stream()
                .flatMap(song -> song.cues().stream()
                        .filter(cue -> recalls(cue.steps(), desk, scene, which))
                        .map(Cue::number)
                        .map(number -> new CueAt(song.id(), number)))
                .toList();
        return switches.isEmpty() && cues.isEmpty()
                ? Stream.empty()
                : Stream.of(found(Severity.LOOK)
                        .about(switches)
                        .singing(plan, cues)
                        .cause(cause)
                        .with("place", plan.rig().partName(desk, scene))
                        .with(
                                "bank",
                                bank.map(part -> plan.rig().partName(desk, part).text())
                                        .orElse(""))
                        .with("desk", desk)
                        .mend("store-looks", new DeskEdit.StoreLooks(desk))
                        .made());
    }

    private static boolean recalls(List<Step> steps, DeviceId desk, PartId scene, Which which) {
        return IntStream.range(0, steps.size()).anyMatch(i -> {
            Step step = steps.get(i);
            return step.device().equals(desk)
                    && step.action().part().equals(scene)
                    && Scenes.isShown(step.action().verb())
                    && which.test(steps, i);
        });
    }
}
