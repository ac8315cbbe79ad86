package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.gear.Direction;
import embrack.core.plan.Obstacle;
import embrack.core.plan.WiringEdit;
import embrack.core.rig.Cabling;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Paths;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A switch has a step on a box that no cables from its board lead to. */
final class NoPath implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.no-path", "No cable leads to the box");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return Stopped.switchesByEnds(Stopped.all(subject, Obstacle.NoPath.class)).entrySet().stream()
                .map(entry -> finding(subject, entry.getKey(), entry.getValue()));
    }

    private Finding finding(Subject subject, Stopped.Ends ends, List<SwitchAt> switches) {
        Rig rig = subject.plan().rig();
        Optional<WiringEdit.Connect> cable = missingCable(rig, ends);
        return new Finding(info(), Severity.STOPS, subject.plan().words(switches),
                "No cable leads from %s to %s.".formatted(rig.name(ends.board()), rig.name(ends.device())),
                "What these switches send to %s never gets there.".formatted(rig.name(ends.device())),
                cable.map(c -> "Plug a cable from %s to %s.".formatted(rig.words(c.from()), rig.words(c.to())))
                        .orElse("Free a socket, or chain the boxes by a THRU, so that a cable can lead there."),
                switches, cable.map(c -> new Remedy("Plug it in", c)));
    }

    /** From the board's own free output, or else from the free THRU of a box that the board reaches. */
    private static Optional<WiringEdit.Connect> missingCable(Rig rig, Stopped.Ends ends) {
        Paths paths = new Paths(rig);
        Stream<DeviceId> reached = rig.devices().stream().map(Device::id)
                .filter(id -> paths.between(ends.board(), id).isPresent());
        Stream<Socket> senders = Stream.concat(paths.freeSockets(ends.board(), List.of(Direction.OUT)).stream(),
                reached.flatMap(id -> paths.freeSockets(id, List.of(Direction.THRU)).stream()));
        List<Socket> inputs = paths.freeSockets(ends.device(), List.of(Direction.IN));
        return senders.flatMap(from -> inputs.stream().map(to -> new WiringEdit.Connect(from, to)))
                .filter(c -> Cabling.refusal(rig, c.from(), c.to()).isEmpty())
                .findFirst();
    }
}
