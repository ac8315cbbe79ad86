package embrack.core.check.switches;

import embrack.core.chart.Learned;
import embrack.core.chart.LessonId;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.edit.NumberEdit;
import embrack.core.numbers.Allocator;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A box has learned a number that means something to other boxes anyway. */
final class ReservedNumber implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.reserved-number", "A number that means something anyway");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().rig().devices().stream()
                .flatMap(device -> device.learned().entrySet().stream()
                        .flatMap(e -> Allocator.objection(
                                e.getValue().type(), e.getValue().number())
                                .map(why -> finding(subject.plan(), device, e.getKey(), e.getValue(), why))
                                .stream()));
    }

    private Finding finding(Plan plan, Device device, LessonId lesson, Learned learned, String why) {
        return new Finding(
                info(),
                Severity.LOOK,
                device.name().text(),
                "%s of %s has learned %s %d."
                        .formatted(
                                plan.rig().partName(device.id(), lesson.part()),
                                device.name(),
                                learned.type().shortName(),
                                learned.number()),
                why + ".",
                "Choose another number.",
                List.of(),
                Optional.of(new Remedy(
                        "Choose another number",
                        new NumberEdit.PinNumber(device.id(), lesson, learned.type(), "", ""))));
    }
}
