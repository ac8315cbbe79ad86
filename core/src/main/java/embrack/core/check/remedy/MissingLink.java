package embrack.core.check.remedy;

import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Remedy;
import embrack.core.edit.InTurn;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Direction;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.way.Ways;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** Links that lead from a box to another to which none leads yet. */
public final class MissingLink {

    /** How many links that can be made are tried, to see whether they lead there. */
    private static final int MOST_TRIED = 24;

    private MissingLink() {}

    /** A link that leads there; or, for an app, a computer to which one leads already. */
    public static Remedies between(Rig rig, DeviceId sender, DeviceId device) {
        return () -> Stream.concat(
                links(rig, sender, device)
                        .map(link -> new Remedy("link", link)
                                .with("from", link.from())
                                .with("to", link.to())),
                movedThere(rig, sender, device));
    }

    /**
     * From the board's own free output, or else from a free port of a box that the board reaches and that passes on; to
     * the device itself, or else to a box that leads there.
     */
    private static Stream<WiringEdit.Connect> links(Rig rig, DeviceId sender, DeviceId device) {
        Ways ways = new Ways(rig);
        List<Socket> senders = Stream.concat(
                        ways.freeSockets(sender, List.of(Direction.OUT, Direction.BOTH)).stream(),
                        boxes(rig, id -> ways.between(sender, id).isPresent())
                                .flatMap(id -> open(ways, id, List.of(Direction.THRU, Direction.BOTH, Direction.OUT))))
                .toList();
        Stream<Socket> inputs = Stream.concat(
                        Stream.of(device),
                        boxes(rig, id -> ways.between(id, device).isPresent()))
                .flatMap(id -> open(ways, id, List.of(Direction.IN, Direction.BOTH)));
        return inputs.flatMap(to -> senders.stream()
                        .filter(from -> !from.device().equals(to.device()))
                        .map(from -> new WiringEdit.Connect(from, to)))
                .filter(c -> Linking.refusal(rig, c.from(), c.to()).isEmpty())
                .limit(MOST_TRIED)
                .filter(c -> new Ways(rig.withLink(new Link(c.from(), c.to())))
                        .between(sender, device)
                        .isPresent());
    }

    /** The free ports of a box; of a computer all, since apps inside share them with cables. */
    private static Stream<Socket> open(Ways ways, DeviceId id, List<Direction> directions) {
        Model model = ways.rig().model(id);
        return model.kind() == Kind.HOST
                ? model.midiPorts().stream()
                        .filter(port -> directions.contains(port.direction()))
                        .map(port -> new Socket(id, port.id()))
                : ways.freeSockets(id, directions).stream();
    }

    private static Stream<DeviceId> boxes(Rig rig, Predicate<DeviceId> which) {
        return rig.devices().stream().map(Device::id).filter(which);
    }

    /** An app runs in a computer that the board is linked to, and hears there where the board comes in. */
    private static Stream<Remedy> movedThere(Rig rig, DeviceId sender, DeviceId app) {
        Ways ways = new Ways(rig);
        return !rig.model(app).isApp()
                ? Stream.empty()
                : boxes(
                                rig,
                                host -> rig.model(host).kind() == Kind.HOST
                                        && !rig.box(app).equals(host))
                        .flatMap(host -> ways.between(sender, host).stream())
                        .flatMap(way -> rig.model(app).midiPorts().stream()
                                .filter(port -> port.direction().isReceiving())
                                .map(port -> moved(app, way.last().to(), new Socket(app, port.id()))));
    }

    private static Remedy moved(DeviceId app, Socket arrives, Socket in) {
        return new Remedy(
                        "move-app",
                        new InTurn(List.of(
                                new WiringEdit.LiveIn(app, Optional.of(arrives.device())),
                                new WiringEdit.Connect(arrives, in))))
                .with("app", app)
                .with("host", arrives.device());
    }
}
