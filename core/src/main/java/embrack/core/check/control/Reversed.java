package embrack.core.check.control;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.edit.TravelEdit;
import embrack.core.gear.ControlType;
import embrack.core.plan.Plan;
import embrack.core.switches.Target;
import embrack.core.switches.Travel;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Toe down makes it quieter. */
final class Reversed implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("controls.reversed", "Heel and toe are the other way round");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().switches().travels().stream()
                .filter(travel -> travel.at().type() == ControlType.TREADLE)
                .flatMap(travel -> travel.targets().stream()
                        .filter(target -> target.range().isInverted())
                        .map(target -> finding(subject.plan(), travel, target)));
    }

    private Finding finding(Plan plan, Travel travel, Target target) {
        return new Finding(
                info(),
                Severity.NOTE,
                plan.words(travel.at()),
                "Heel down, %s is at %s; toe down, at %s."
                        .formatted(
                                plan.words(target),
                                target.shown(target.at(0).amount().orElseThrow()),
                                target.shown(target.at(127).amount().orElseThrow())),
                "Feet expect more at the toe.",
                "Turn it round, unless that is what you want.",
                List.of(),
                Optional.of(new Remedy(
                        "Turn it round",
                        new TravelEdit.Shape(
                                travel.at(),
                                target.device(),
                                target.part(),
                                String.valueOf(target.range().to()),
                                String.valueOf(target.range().from()),
                                target.range().curve(),
                                target.law(),
                                String.valueOf(target.topDecibels()),
                                target.capDecibels().map(String::valueOf).orElse("")))));
    }
}
