package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Halted;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.Obstacle;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Direction;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.way.Ways;
import java.util.List;
import java.util.stream.Stream;

/** A switch has a step on a box that no links from its board lead to. */
final class NoPath implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "no-path");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.halted(Obstacle.NoPath.class).stream()
                .filter(all -> all.stream().anyMatch(each -> each.at().isPresent()))
                .map(all -> finding(subject, all));
    }

    private Finding finding(Subject subject, List<Halted> all) {
        Rig rig = subject.plan().rig();
        DeviceId sender = all.getFirst().sender();
        DeviceId device = all.getFirst().device();
        return found(Severity.STOPS)
                .halting(subject.plan(), all)
                .with("board", sender)
                .with("device", device)
                .mend(() -> missingLink(rig, sender, device)
                        .map(link -> new Remedy("link", link)
                                .with("from", link.from())
                                .with("to", link.to())))
                .made();
    }

    /** How many links that can be made are tried, to see whether they lead there. */
    private static final int MOST_TRIED = 8;

    /**
     * From the board's own free output, or else from a free port of a box that the board reaches and that passes on.
     */
    private static Stream<WiringEdit.Connect> missingLink(Rig rig, DeviceId sender, DeviceId device) {
        Ways ways = new Ways(rig);
        Stream<DeviceId> reached = rig.devices().stream()
                .map(Device::id)
                .filter(id -> ways.between(sender, id).isPresent());
        Stream<Socket> senders = Stream.concat(
                ways.freeSockets(sender, List.of(Direction.OUT, Direction.BOTH)).stream(),
                reached.flatMap(
                        id -> ways.freeSockets(id, List.of(Direction.THRU, Direction.BOTH, Direction.OUT)).stream()));
        List<Socket> inputs = ways.freeSockets(device, List.of(Direction.IN, Direction.BOTH));
        return senders.flatMap(from -> inputs.stream().map(to -> new WiringEdit.Connect(from, to)))
                .filter(c -> Linking.refusal(rig, c.from(), c.to()).isEmpty())
                .limit(MOST_TRIED)
                .filter(c -> new Ways(rig.withLink(new Link(c.from(), c.to())))
                        .between(sender, device)
                        .isPresent());
    }
}
