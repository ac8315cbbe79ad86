package embrack.core.way;

import embrack.core.gear.Connector;
import embrack.core.gear.Direction;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.stream.Stream;

/**
 * How a box is joined to another that it does not reach yet: with the fewest new links, and a box between only where
 * nothing that is there will do. An app is put into a computer; a socket that is taken is shared by a merger or a thru
 * box. Sessions over a network are left to people, who know their network.
 *
 * @param rig the rig, joined
 * @param links new links, in the order of the way
 * @param added boxes that had to be put between; they are in the rig, but nobody owns them yet
 */
public record Joining(Rig rig, List<Link> links, List<Device> added) {

    private static final int OF_A_LINK = 2;
    private static final int OF_A_BOX = 5;

    /** Where the search ends: a way that costs more is none that anybody would build. */
    private static final int MOST_LINKS = 4;

    private static final int MOST_BOXES = 2;

    /** As many settings can be wrong about one link: an app that is missing on either side, and a role. */
    private static final int MOST_SETTINGS = 3;

    private static final int MOST_LOOKED_AT = 1_500;

    /** What is put between where nothing that is there will do, the likelier first. */
    private static final List<Model> BETWEEN = Stream.of(
                    "usb-interface-1-by-1", "computer", "usb-breakout", "bluetooth-bridge-pair")
            .map(Joining::shipped)
            .toList();

    private static final Model MERGER = shipped("merger-2-to-1");
    private static final Model THRU_BOX = shipped("thru-box-1-to-4");

    public Joining {
        links = List.copyOf(links);
        added = List.copyOf(added);
    }

    private static Model shipped(String id) {
        return Library.find(new ModelId(id)).orElseThrow();
    }

    /**
     * Joins two boxes of a rig.
     *
     * @return empty when no way of a few links is found, and when the receiver is reached already
     */
    public static Optional<Joining> of(Rig rig, DeviceId sender, DeviceId receiver) {
        if (sender.equals(receiver) || new Ways(rig).between(sender, receiver).isPresent()) {
            return Optional.empty();
        }
        return new Search(sender, receiver, false).from(rig).or(() -> new Search(sender, receiver, true).from(rig));
    }

    private int cost() {
        return links.size() * OF_A_LINK + added.size() * OF_A_BOX;
    }

    /** The cheapest way first; of those that cost the same, the one that was found first. */
    private record Search(DeviceId sender, DeviceId receiver, boolean mayAdd) {

        Optional<Joining> from(Rig rig) {
            record Turn(Joining joining, int number) {}
            PriorityQueue<Turn> open = new PriorityQueue<>(
                    Comparator.comparingInt((Turn turn) -> turn.joining().cost())
                            .thenComparingInt(Turn::number));
            Set<Set<Link>> seen = new HashSet<>();
            open.add(new Turn(new Joining(rig, List.of(), List.of()), 0));
            Rig ready = rig;
            for (Link link : rig.links()) {
                ready = ready(ready, link);
            }
            open.add(new Turn(new Joining(ready, List.of(), List.of()), 1));
            int found = 1;
            for (int looked = 0; !open.isEmpty() && looked < MOST_LOOKED_AT; looked++) {
                Joining next = open.poll().joining();
                Ways ways = new Ways(next.rig);
                if (ways.between(sender, receiver).isPresent()) {
                    return Optional.of(next);
                }
                if (next.links.size() < MOST_LINKS) {
                    for (Joining joining : further(next, ways).toList()) {
                        if (seen.add(new HashSet<>(joining.rig.links()))) {
                            open.add(new Turn(joining, ++found));
                        }
                    }
                }
            }
            return Optional.empty();
        }

        private Stream<Joining> further(Joining at, Ways ways) {
            List<DeviceId> reached = Stream.concat(Stream.of(sender), ways.reach(sender).stream())
                    .distinct()
                    .toList();
            List<Socket> outs = reached.stream()
                    .flatMap(box -> open(ways, box, sending(box)).stream())
                    .toList();
            Stream<Joining> linked = at.rig.devices().stream()
                    .map(Device::id)
                    .filter(box -> !reached.contains(box))
                    .filter(box -> box.equals(receiver) || passesOn(at.rig.model(box)))
                    .sorted(Comparator.comparing(box -> !box.equals(receiver)))
                    .flatMap(box -> at.linked(outs, open(ways, box, List.of(Direction.IN, Direction.BOTH))));
            Stream<Joining> moved = at.movedInto(receiver, reached);
            Stream<Joining> withMore = mayAdd && at.added.size() < MOST_BOXES
                    ? Stream.concat(
                            BETWEEN.stream().flatMap(model -> at.put(model, outs)),
                            Stream.concat(
                                    at.merged(outs, ways, receiver),
                                    reached.stream().flatMap(box -> at.split(box, ways, receiver))))
                    : Stream.empty();
            return Stream.of(linked, moved, withMore).flatMap(joined -> joined);
        }

        private List<Direction> sending(DeviceId box) {
            return box.equals(sender)
                    ? List.of(Direction.OUT, Direction.BOTH)
                    : List.of(Direction.THRU, Direction.BOTH, Direction.OUT);
        }
    }

    /** Whether messages for others come through it; those that an app passes on are its own affair. */
    private static boolean passesOn(Model model) {
        return model.kind() == Kind.HOST || !model.sockets().routes().isEmpty() && !model.isApp();
    }

    /**
     * The free ports of a box, one of each sort, since it does not matter which; of a computer those in use too, since
     * apps inside share them with cables.
     */
    private static List<Socket> open(Ways ways, DeviceId box, List<Direction> directions) {
        Model model = ways.rig().model(box);
        List<Socket> free = model.kind() == Kind.HOST
                ? model.midiPorts().stream()
                        .filter(port -> directions.contains(port.direction()))
                        .map(port -> new Socket(box, port.id()))
                        .toList()
                : ways.freeSockets(box, directions);
        Set<List<Object>> sorts = new HashSet<>();
        return free.stream()
                .filter(socket -> ways.rig().port(socket).connector() != Connector.NETWORK
                        && ways.rig().port(socket).connector() != Connector.WIFI)
                .filter(socket -> !ways.rig().linksIn(socket).isEmpty()
                        || sorts.add(List.of(
                                ways.rig().port(socket).connector(),
                                ways.rig().port(socket).direction())))
                .toList();
    }

    private Stream<Joining> linked(List<Socket> outs, List<Socket> ins) {
        return ins.stream()
                .flatMap(in -> outs.stream()
                        .map(out -> Linking.oriented(rig, out, in))
                        .filter(link ->
                                Linking.refusal(rig, link.from(), link.to()).isEmpty())
                        .map(this::with));
    }

    private Joining with(Link link) {
        return new Joining(ready(rig.withLink(link), link), more(links, link), added);
    }

    /** A link that can be made and carries nothing yet, as far as settings are to blame. */
    private static Rig ready(Rig rig, Link link) {
        Rig set = rig;
        for (int left = MOST_SETTINGS; left > 0; left--) {
            Optional<Readiness.Lack> lack =
                    new Readiness(set).lack(link).filter(l -> l.setting().isPresent());
            if (lack.isEmpty()) {
                break;
            }
            set = set.withDeviceChanged(
                    lack.get().device(),
                    d -> d.withSetting(
                            lack.get().setting().orElseThrow(), lack.get().value()));
        }
        return set;
    }

    /** An app that lives nowhere yet is put into a computer that is reached, and joined where the messages come in. */
    private Stream<Joining> movedInto(DeviceId app, List<DeviceId> reached) {
        if (!rig.model(app).isApp() || rig.device(app).spot().host().isPresent()) {
            return Stream.empty();
        }
        return reached.stream()
                .filter(host -> rig.model(host).kind() == Kind.HOST)
                .flatMap(host -> {
                    Joining housed =
                            new Joining(rig.withDeviceChanged(app, d -> d.withHost(Optional.of(host))), links, added);
                    List<Socket> arrives = rig.linksIn(host).stream()
                            .filter(link -> rig.kind(link) != LinkKind.INSIDE && rig.kind(link) != LinkKind.POWER)
                            .map(link -> link.from().device().equals(host) ? link.from() : link.to())
                            .distinct()
                            .toList();
                    List<Socket> ins = rig.sockets(app).stream()
                            .filter(socket -> rig.port(socket).connector() == Connector.VIRTUAL
                                    && rig.port(socket).direction().isReceiving())
                            .toList();
                    return housed.linked(arrives, ins);
                });
    }

    /** A box is put behind one of these outputs. */
    private Stream<Joining> put(Model model, List<Socket> outs) {
        Device box = rig.newDevice(model.name(), model);
        Joining standing = new Joining(rig.withDevice(box, model), links, more(added, box));
        return standing.linked(outs, open(new Ways(standing.rig), box.id(), List.of(Direction.IN, Direction.BOTH)));
    }

    /** Somebody else is plugged in where the receiver hears: both go into a merger. */
    private Stream<Joining> merged(List<Socket> outs, Ways ways, DeviceId receiver) {
        return rig.linksIn(receiver).stream()
                .filter(link -> link.to().device().equals(receiver) && rig.kind(link) == LinkKind.FIVE_PIN)
                .flatMap(link -> {
                    Device box = rig.newDevice(MERGER.name(), MERGER);
                    Rig bare = rig.withoutLink(link).withDevice(box, MERGER);
                    List<Socket> sockets = bare.sockets(box.id());
                    Link in = new Link(link.from(), sockets.get(0));
                    Link out = new Link(sockets.get(2), link.to());
                    return Linking.refusal(bare, in.from(), in.to()).isPresent()
                            ? Stream.empty()
                            : new Joining(bare.withLink(in).withLink(out), more(more(links, in), out), more(added, box))
                                    .linked(outs, List.of(sockets.get(1)));
                });
    }

    /** A box sends to somebody else from its only output: both are fed by a thru box. */
    private Stream<Joining> split(DeviceId sender, Ways ways, DeviceId receiver) {
        return rig.linksIn(sender).stream()
                .filter(link -> link.from().device().equals(sender) && rig.kind(link) == LinkKind.FIVE_PIN)
                .flatMap(link -> {
                    Device box = rig.newDevice(THRU_BOX.name(), THRU_BOX);
                    Rig bare = rig.withoutLink(link).withDevice(box, THRU_BOX);
                    List<Socket> sockets = bare.sockets(box.id());
                    Link in = new Link(link.from(), sockets.get(0));
                    Link out = new Link(sockets.get(1), link.to());
                    return Linking.refusal(bare, in.from(), in.to()).isPresent()
                            ? Stream.empty()
                            : new Joining(bare.withLink(in).withLink(out), more(more(links, in), out), more(added, box))
                                    .linked(
                                            List.of(sockets.get(2)),
                                            open(ways, receiver, List.of(Direction.IN, Direction.BOTH)));
                });
    }

    private static <T> List<T> more(List<T> some, T another) {
        List<T> all = new ArrayList<>(some);
        all.add(another);
        return all;
    }
}
