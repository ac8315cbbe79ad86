package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Ability;
import embrack.core.gear.Condition;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.sim.Blame;
import embrack.core.sim.Cause;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What is sent to an app comes to an input of it that is off. */
final class InputOff implements Rule {

    private static final List<Ability> INPUTS = List.of(Ability.HEARS_REMOTE, Ability.HEARS_SYNC, Ability.HEARS_NOTES);

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "input-off");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<DeviceId, List<Blame>> byApp = subject.blamed(Cause.InputOff.class)
                .collect(Collectors.groupingBy(Blame::device, TreeMap::new, Collectors.toList()));
        return byApp.entrySet().stream()
                .flatMap(e -> INPUTS.stream()
                        .flatMap(input -> subject.plan().rig().unmet(e.getKey(), input).stream())
                        .filter(unmet -> isIt(subject.plan().rig(), e.getValue(), unmet))
                        .limit(1)
                        .map(unmet -> finding(subject, e.getValue(), unmet)));
    }

    /** Whether a condition is about the input that was found to be off. */
    private static boolean isIt(Rig rig, List<Blame> blames, Condition unmet) {
        DeviceId app = blames.getFirst().device();
        String setting = rig.settingOf(app, unmet).name().text();
        return blames.stream()
                .anyMatch(blame -> blame.cause() instanceof Cause.InputOff off
                        && off.setting().equals(setting));
    }

    private Finding finding(Subject subject, List<Blame> blames, Condition unmet) {
        Blame first = blames.getFirst();
        return NotSet.about(
                        found(Severity.STOPS).blaming(subject.plan(), blames),
                        subject.plan().rig(),
                        first.device(),
                        unmet)
                .with("board", first.sender())
                .made();
    }
}
