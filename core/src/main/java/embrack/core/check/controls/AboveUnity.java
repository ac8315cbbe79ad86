package embrack.core.check.controls;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.TravelEdit;
import embrack.core.switches.Target;
import embrack.core.switches.Travel;
import java.util.stream.Stream;

/** A level can be pushed above unity by a foot. */
final class AboveUnity implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.CONTROLS, "above-unity");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().switches().travels().stream()
                .flatMap(travel ->
                        travel.targets().stream().filter(Target::isAboveUnity).map(target -> finding(travel, target)));
    }

    private Finding finding(Travel travel, Target target) {
        return found(Severity.LOOK)
                .with("control", travel.at())
                .with("level", target)
                .with("top", target.shown(target.programmed().highest()))
                .mend(
                        "cap",
                        new TravelEdit.Shape(
                                travel.at(),
                                target.device(),
                                target.part(),
                                String.valueOf(target.range().from()),
                                String.valueOf(target.range().to()),
                                target.range().curve(),
                                target.law(),
                                String.valueOf(target.topDecibels()),
                                "0"))
                .made();
    }
}
