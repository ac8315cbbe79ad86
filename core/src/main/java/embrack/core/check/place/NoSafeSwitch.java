package embrack.core.check.place;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.DutyEdit;
import embrack.core.offer.SpareSwitch;
import embrack.core.place.Safety;
import embrack.core.plan.Plan;
import embrack.core.switches.Assignment;
import embrack.core.switches.Duty;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Something plays on by itself, and no switch brings the rig into its safe state. */
final class NoSafeSwitch implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.PLACE, "no-safe-switch");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        var safety = new Safety(plan);
        boolean isThere = plan.switches().assignments().stream().anyMatch(a -> a.isFor(Duty.SAFE))
                || safety.isDoneBy(Duty.KILL, safety.safe())
                || safety.stops().containsAll(safety.safe()) && isKillAskedFor(plan);
        return isThere || !safety.isNeeded() || safety.safe().isEmpty()
                ? Stream.empty()
                : Stream.of(finding(plan, safety));
    }

    /** Whether there is no kill switch yet, so that one is asked for. */
    private static boolean isKillAskedFor(Plan plan) {
        return plan.switches().assignments().stream().noneMatch(a -> a.isFor(Duty.KILL));
    }

    private Finding finding(Plan plan, Safety safety) {
        List<Step> safe = safety.safe();
        Optional<SwitchAt> go = plan.switches().assignments().stream()
                .filter(safety::isGo)
                .map(Assignment::at)
                .findFirst();
        return found(Severity.LOOK)
                .with("rig", plan.rig().name())
                .with("deeds", safe)
                .mend(go.flatMap(at -> SpareSwitch.farFrom(plan, at))
                        .map(at ->
                                new Remedy("give-duty", new DutyEdit(at, Duty.SAFE, "Make safe", safe)).with("at", at)))
                .made();
    }
}
