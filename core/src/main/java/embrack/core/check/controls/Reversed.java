package embrack.core.check.controls;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.TravelEdit;
import embrack.core.gear.ControlType;
import embrack.core.switches.Target;
import embrack.core.switches.Travel;
import java.util.stream.Stream;

/** Toe down makes it quieter. */
final class Reversed implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.CONTROLS, "reversed");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().switches().travels().stream()
                .filter(travel -> travel.at().type() == ControlType.TREADLE)
                .flatMap(travel -> travel.targets().stream()
                        .filter(target -> target.range().isInverted())
                        .map(target -> finding(travel, target)));
    }

    private Finding finding(Travel travel, Target target) {
        return found(Severity.NOTE)
                .with("control", travel.at())
                .with("level", target)
                .with("heel", target.shown(target.at(0).amount().orElseThrow()))
                .with("toe", target.shown(target.at(127).amount().orElseThrow()))
                .mend(
                        "turn-round",
                        new TravelEdit.Shape(
                                travel.at(),
                                target.device(),
                                target.part(),
                                String.valueOf(target.range().to()),
                                String.valueOf(target.range().from()),
                                target.range().curve(),
                                target.law(),
                                String.valueOf(target.topDecibels()),
                                target.capDecibels().map(String::valueOf).orElse("")))
                .made();
    }
}
