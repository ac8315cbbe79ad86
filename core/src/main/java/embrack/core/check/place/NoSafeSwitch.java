package embrack.core.check.place;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
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
        return new RuleInfo("place.no-safe-switch", "Nothing makes the rig safe");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        var safety = new Safety(plan);
        boolean isThere = plan.switches().assignments().stream().anyMatch(a -> a.isFor(Duty.SAFE));
        return isThere || !safety.isNeeded() || safety.safe().isEmpty()
                ? Stream.empty()
                : Stream.of(finding(plan, safety));
    }

    private Finding finding(Plan plan, Safety safety) {
        List<Step> safe = safety.safe();
        Optional<SwitchAt> go = plan.switches().assignments().stream()
                .filter(safety::isGo)
                .map(Assignment::at)
                .findFirst();
        return new Finding(
                info(),
                Severity.LOOK,
                plan.rig().name().text(),
                "No switch makes everything safe.",
                "After a mistake the boxes are in states that nobody planned.",
                "Give one switch the duty: %s."
                        .formatted(
                                String.join("; ", safe.stream().map(plan::words).toList())),
                List.of(),
                go.flatMap(at -> SpareSwitch.farFrom(plan, at))
                        .map(at -> new Remedy(
                                "Make it %s".formatted(plan.words(at)),
                                new DutyEdit(at, Duty.SAFE, "Make safe", safe))));
    }
}
