package embrack.core.check.power;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.power.PowerPlan;
import embrack.core.rig.Rig;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A box that nothing powers. */
final class NoPower implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("power.none", "Nothing powers a box");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return new PowerPlan(rig)
                .feedings().stream()
                        .filter(feeding -> !feeding.isFed()
                                && !rig.linksIn(feeding.device()).isEmpty())
                        .map(feeding -> new Finding(
                                info(),
                                Severity.STOPS,
                                rig.name(feeding.device()).text(),
                                "Nothing powers %s.".formatted(rig.name(feeding.device())),
                                "It runs from %s, and no such link is in it."
                                        .formatted(rig.model(feeding.device())
                                                .power()
                                                .orElseThrow()
                                                .words()),
                                "Link its USB to a computer, a hub or a charger.",
                                List.of(),
                                Optional.empty()));
    }
}
