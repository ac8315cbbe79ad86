package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Purpose;
import embrack.core.rig.Device;
import embrack.core.rig.Rig;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A receiver that listens to all channels and is reached by something that no switch means for it: a neighbour's pads
 * play it.
 */
final class HearsNeighbour implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "hears-neighbour");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.devices().stream()
                .filter(d -> rig.model(d.id()).implementation().quirks().hearsAllChannels())
                .flatMap(receiver -> heard(subject, receiver).map(sender -> finding(sender, receiver)));
    }

    /** What makes messages of its own on a fixed channel that is not the receiver's, and reaches it. */
    private static Stream<Device> heard(Subject subject, Device receiver) {
        Rig rig = subject.plan().rig();
        Optional<Integer> own = rig.setting(receiver.id(), Purpose.RECEIVE_CHANNEL);
        return rig.devices().stream()
                .filter(sender -> rig.model(sender.id()).surface().groups().stream()
                        .anyMatch(group -> group.channel()
                                .filter(c -> !own.equals(Optional.of(c.number())))
                                .isPresent()))
                .filter(sender -> subject.ways().reach(sender.id()).contains(receiver.id()));
    }

    private Finding finding(Device sender, Device receiver) {
        return found(Severity.LOOK)
                .with("sender", sender)
                .with("receiver", receiver)
                .made();
    }
}
