package embrack.core.check.switches;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.check.remedy.OtherNumber;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.numbers.Allocator;
import embrack.core.rig.Device;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import java.util.Optional;
import java.util.stream.Stream;

/** A box has learned a number that means something to other boxes anyway. */
final class ReservedNumber implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "reserved-number");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().rig().devices().stream()
                .flatMap(device -> device.learned().entrySet().stream()
                        .flatMap(e -> Allocator.objection(
                                e.getValue().type(), e.getValue().number())
                                .or(() -> Allocator.fineHalf(
                                        subject.plan().rig(),
                                        device.id(),
                                        e.getValue().type(),
                                        e.getValue().number()))
                                .map(why -> finding(device, e.getKey(), e.getValue(), why))
                                .stream()));
    }

    private Finding finding(Device device, LearnableId learnable, Learned learned, Phrase why) {
        return found(Severity.LOOK)
                .with("device", device)
                .with("part", new Fact.PartOf(device.id(), learnable.part()))
                .with("type", learned.type().shortName())
                .with("number", learned.number())
                .with("why", why)
                .mend(Optional.of(OtherNumber.instead(device.id(), learnable, learned)))
                .made();
    }
}
