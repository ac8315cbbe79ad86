package embrack.core.check.remedy;

import embrack.core.chart.Action;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Remedy;
import embrack.core.edit.NumberEdit;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Step;
import embrack.core.word.Fact;
import java.util.Collection;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** Other numbers for what boxes have learned. */
public final class OtherNumber {

    private OtherNumber() {}

    /** Another number for what devices have learned from any of some messages. */
    public static Remedies instead(Plan plan, Collection<DeviceId> devices, Collection<Message> messages) {
        return () -> devices.stream()
                .distinct()
                .flatMap(device -> instead(
                        plan,
                        device,
                        learned -> messages.stream()
                                .anyMatch(m -> m.type() == learned.type() && m.data1() == learned.number())));
    }

    private static Stream<Remedy> instead(Plan plan, DeviceId device, Predicate<Learned> concerned) {
        return plan.rig().device(device).learned().entrySet().stream()
                .filter(e -> concerned.test(e.getValue()))
                .map(e -> instead(device, e.getKey(), e.getValue()));
    }

    /** Another number of the same type, whichever is free, for what a device has learned. */
    public static Remedy instead(DeviceId device, LearnableId learnable, Learned learned) {
        return new Remedy("choose-number", new NumberEdit.PinNumber(device, learnable, learned.type(), "", ""))
                .with(
                        "learned",
                        learnable.verb().takesAmount()
                                ? new Fact.PartOf(device, learnable.part())
                                : new Fact.Deed(new Step(device, new Action(learnable.verb(), learnable.part()))));
    }
}
