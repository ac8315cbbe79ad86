package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Purpose;
import embrack.core.gear.SendChannel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A board sends on one channel and the box that it means listens to another. */
final class ChannelMismatch implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "channel-mismatch");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<Stopped.Ends, List<Deafness>> byEnds = subject.proofs().stream()
                .flatMap(Deafness::of)
                .collect(Collectors.groupingBy(
                        d -> new Stopped.Ends(d.proof().at().board(), d.device()),
                        LinkedHashMap::new,
                        Collectors.toList()));
        return byEnds.values().stream().map(deaf -> finding(subject.plan(), deaf));
    }

    private Finding finding(Plan plan, Collection<Deafness> all) {
        Deafness deaf = all.iterator().next();
        DeviceId board = deaf.proof().at().board();
        List<SwitchAt> switches = all.stream().map(d -> d.proof().at()).toList();
        Found found = found(Severity.STOPS)
                .about(switches)
                .with("board", board)
                .with("sent", deaf.sentOn().number())
                .with("device", deaf.device())
                .with("listens", deaf.listensOn().number())
                .with(
                        "setting",
                        plan.rig()
                                .model(deaf.device())
                                .setting(Purpose.RECEIVE_CHANNEL)
                                .orElseThrow()
                                .name());
        return isChannelNeededElsewhere(plan, board, deaf)
                ? found.cause("needed-elsewhere")
                        .mend(new OtherHardware(plan, board).remedy(b -> b.sendChannel() == SendChannel.EACH_MESSAGE))
                        .made()
                : found.cause("free").mend(remedy(plan, deaf)).made();
    }

    /** Whether the board has steps for another box that does listen to what it sends; both cannot share the channel. */
    private static boolean isChannelNeededElsewhere(Plan plan, DeviceId board, Deafness deaf) {
        return plan.switches().of(board).stream()
                .flatMap(a -> a.steps().stream())
                .map(Step::device)
                .filter(device -> !device.equals(deaf.device()))
                .anyMatch(device -> plan.rig()
                        .setting(device, Purpose.RECEIVE_CHANNEL)
                        .filter(c -> c == deaf.sentOn().number())
                        .isPresent());
    }

    private static Optional<Remedy> remedy(Plan plan, Deafness deaf) {
        int channel = deaf.sentOn().number();
        return Optional.of(new Remedy(
                        "set-channel",
                        new GearEdit.ChangeSetting(
                                deaf.device(),
                                plan.rig()
                                        .settingFor(deaf.device(), Purpose.RECEIVE_CHANNEL)
                                        .id(),
                                String.valueOf(channel)))
                .with("channel", channel));
    }
}
