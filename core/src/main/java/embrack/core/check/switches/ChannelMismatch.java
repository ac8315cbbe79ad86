package embrack.core.check.switches;

import embrack.core.check.remedy.OtherHardware;
import embrack.core.check.remedy.OwnChannel;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Purpose;
import embrack.core.gear.SendChannel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Blame;
import embrack.core.sim.Cause;
import embrack.core.switches.Step;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A board sends on one channel and the box that it means listens to another. */
final class ChannelMismatch implements Rule {

    private record Ends(DeviceId sender, DeviceId device, Cause.OtherChannel cause) {}

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "channel-mismatch");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject
                .blamed(Cause.OtherChannel.class)
                .collect(Collectors.groupingBy(
                        blame -> new Ends(blame.sender(), blame.device(), (Cause.OtherChannel) blame.cause()),
                        LinkedHashMap::new,
                        Collectors.toList()))
                .entrySet()
                .stream()
                .map(e -> finding(subject, e.getKey(), e.getValue()));
    }

    private Finding finding(Subject subject, Ends ends, List<Blame> blames) {
        Plan plan = subject.plan();
        int sent = ends.cause().sentOn().number();
        int listens = ends.cause().listensOn().number();
        Remedies other = plan.boards().contains(ends.sender())
                ? OtherHardware.instead(plan, ends.sender(), b -> b.sendChannel() == SendChannel.EACH_MESSAGE)
                : Remedies.NONE;
        return found(subject.severity(blames))
                .blaming(plan, blames)
                .with("board", ends.sender())
                .with("sent", sent)
                .with("device", ends.device())
                .with("listens", listens)
                .with(
                        "setting",
                        plan.rig()
                                .model(ends.device())
                                .setting(Purpose.RECEIVE_CHANNEL)
                                .orElseThrow()
                                .name())
                .cause(isChannelNeededElsewhere(plan, ends) ? "needed-elsewhere" : "free")
                .mend(OwnChannel.receive(plan, ends.device(), sent))
                .mend(OwnChannel.send(plan, ends.sender(), listens))
                .mend(other)
                .made();
    }

    /** Whether the board has steps for another box that does listen to what it sends; both cannot share the channel. */
    private static boolean isChannelNeededElsewhere(Plan plan, Ends ends) {
        return plan.switches().of(ends.sender()).stream()
                .flatMap(a -> a.steps().stream())
                .map(Step::device)
                .filter(device -> !device.equals(ends.device()))
                .anyMatch(device -> plan.rig()
                        .setting(device, Purpose.RECEIVE_CHANNEL)
                        .filter(c -> c == ends.cause().sentOn().number())
                        .isPresent());
    }
}
