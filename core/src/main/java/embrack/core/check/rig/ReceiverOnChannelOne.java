package embrack.core.check.rig;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Purpose;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.List;
import java.util.stream.Stream;

/**
 * Channel 1 is what every box sends on when it is new or reset (common practice, no source). Nobody minds it where
 * only those reach a receiver that have something to say to it.
 */
final class ReceiverOnChannelOne implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.RIG, "receiver-on-channel-one");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.devices().stream()
                .map(Device::id)
                .filter(d -> rig.setting(d, Purpose.RECEIVE_CHANNEL)
                        .filter(channel -> channel == 1)
                        .isPresent())
                .filter(d -> !rig.model(d).parts().isEmpty())
                .flatMap(d -> strays(subject, d).stream()
                        .limit(1)
                        .map(stray -> found(Severity.NOTE)
                                .with("device", d)
                                .with("stray", stray)
                                .made()));
    }

    /** Boxes that reach a receiver and are not meant for it. */
    private static List<DeviceId> strays(Subject subject, DeviceId receiver) {
        return subject.plan().rig().devices().stream()
                .map(Device::id)
                .filter(sender -> !sender.equals(receiver)
                        && subject.ways().isSource(sender)
                        && subject.ways().reach(sender).contains(receiver)
                        && !isFor(subject.plan(), sender, receiver))
                .toList();
    }

    private static boolean isFor(Plan plan, DeviceId sender, DeviceId receiver) {
        return plan.players().contains(sender)
                        && plan.book().cues().stream()
                                .flatMap(cue -> cue.steps().stream())
                                .anyMatch(step -> step.device().equals(receiver))
                || plan.switches().of(sender).stream()
                        .flatMap(a -> a.steps().stream())
                        .anyMatch(step -> step.device().equals(receiver))
                || plan.switches().controlAssignments().stream()
                        .filter(control -> control.at().box().equals(sender))
                        .flatMap(control -> control.targets().stream())
                        .anyMatch(target -> target.device().equals(receiver));
    }
}
