package embrack.core.check.control;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.edit.TravelEdit;
import embrack.core.plan.Plan;
import embrack.core.switches.Target;
import embrack.core.switches.Travel;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A level can be pushed above unity by a foot. */
final class AboveUnity implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("controls.above-unity", "A level goes above unity");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().switches().travels().stream()
                .flatMap(travel -> travel.targets().stream()
                        .filter(Target::isAboveUnity)
                        .map(target -> finding(subject.plan(), travel, target)));
    }

    private Finding finding(Plan plan, Travel travel, Target target) {
        return new Finding(
                info(),
                Severity.LOOK,
                plan.words(travel.at()),
                "%s reaches %s."
                        .formatted(
                                plan.words(target),
                                target.shown(target.programmed().highest())),
                "Above 0 dB it is louder than it was mixed; in in-ears that hurts.",
                "Cap it at 0 dB.",
                List.of(),
                Optional.of(new Remedy(
                        "Cap it at 0 dB",
                        new TravelEdit.Shape(
                                travel.at(),
                                target.device(),
                                target.part(),
                                String.valueOf(target.range().from()),
                                String.valueOf(target.range().to()),
                                target.range().curve(),
                                target.law(),
                                String.valueOf(target.topDecibels()),
                                "0"))));
    }
}
