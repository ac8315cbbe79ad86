package embrack.core.way;

import embrack.core.gear.Ability;
import embrack.core.gear.Connector;
import embrack.core.gear.Direction;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.Port;
import embrack.core.gear.Route;
import embrack.core.midi.Message;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.MidiFilter;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.rig.Traffic;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * All ways through one rig. The pieces are worked out once for a rig; a search from one box costs at most the number of
 * links.
 */
public final class Ways {

    private final Rig rig;
    private final Readiness readiness;
    private final Predicate<Link> working;
    private final Predicate<DeviceId> alive;
    private final Map<Hop, Hop> pieces = new ConcurrentHashMap<>();
    private final Map<Hop, List<Hop>> onward = new ConcurrentHashMap<>();
    private final Map<DeviceId, List<Hop>> leaving = new ConcurrentHashMap<>();
    private final Map<DeviceId, Map<DeviceId, SignalPath>> nearest = new ConcurrentHashMap<>();
    private final Map<Errand, Optional<SignalPath>> errands = new ConcurrentHashMap<>();

    /** What decides the way of a message: its ends, its sort, and its channel, 0 without one. */
    private record Errand(DeviceId sender, DeviceId receiver, Traffic traffic, int channel) {}

    public Ways(Rig rig) {
        this(rig, new Readiness(rig), link -> true, device -> true);
    }

    private Ways(Rig rig, Readiness readiness, Predicate<Link> working, Predicate<DeviceId> alive) {
        this.rig = rig;
        this.readiness = readiness;
        this.working = working;
        this.alive = alive;
    }

    /** The ways that are left when these links and devices are gone. */
    public Ways without(Set<Link> links, Set<DeviceId> devices) {
        return new Ways(rig, readiness, link -> !links.contains(link), device -> !devices.contains(device));
    }

    public Rig rig() {
        return rig;
    }

    public Readiness readiness() {
        return readiness;
    }

    /** The first pieces of all ways of what a box makes itself, port by port; none for one that is not set to send. */
    public List<Hop> leaving(DeviceId device) {
        return leaving.computeIfAbsent(device, this::findLeaving);
    }

    /** The ports by which a box sends what it makes itself. */
    public List<Socket> outputs(DeviceId device) {
        return rig.unmet(device, Ability.SENDS).isPresent()
                ? List.of()
                : rig.model(device).ports().stream()
                        .filter(p ->
                                p.carriesMidi() && (p.direction() == Direction.OUT || p.direction() == Direction.BOTH))
                        .map(p -> new Socket(device, p.id()))
                        .toList();
    }

    /** The pieces that may follow a piece. */
    public List<Hop> onward(Hop hop) {
        return onward.computeIfAbsent(hop, this::findOnward);
    }

    /**
     * The shortest way from a box to another; cost: the number of links.
     *
     * @return empty when there is none
     */
    public Optional<SignalPath> between(DeviceId sender, DeviceId receiver) {
        return Optional.ofNullable(nearest(sender).get(receiver));
    }

    /**
     * The shortest way that lets a message through; its channel may change on it. Only type and channel of the message
     * count.
     */
    public Optional<SignalPath> between(DeviceId sender, DeviceId receiver, Message message) {
        return errands.computeIfAbsent(
                new Errand(
                        sender,
                        receiver,
                        Traffic.of(message),
                        message instanceof Message.Voice v ? v.channel().number() : 0),
                errand -> shortest(sender, receiver, message));
    }

    /** The shortest way from a box to each that it reaches, in the order of nearness; cost: the number of links. */
    public Map<DeviceId, SignalPath> nearest(DeviceId sender) {
        return nearest.computeIfAbsent(sender, this::findNearest);
    }

    private Map<DeviceId, SignalPath> findNearest(DeviceId sender) {
        Map<Hop, Optional<Hop>> before = new HashMap<>();
        Map<DeviceId, SignalPath> found = new LinkedHashMap<>();
        Deque<Hop> open = new ArrayDeque<>();
        leaving(sender).forEach(hop -> reached(hop, Optional.empty(), before, open));
        while (!open.isEmpty()) {
            Hop hop = open.poll();
            found.computeIfAbsent(hop.arrivesAt(), device -> wayTo(hop, before));
            onward(hop).forEach(next -> reached(next, Optional.of(hop), before, open));
        }
        return found;
    }

    private static void reached(Hop hop, Optional<Hop> from, Map<Hop, Optional<Hop>> before, Deque<Hop> open) {
        if (before.putIfAbsent(hop, from) == null) {
            open.add(hop);
        }
    }

    private static SignalPath wayTo(Hop last, Map<Hop, Optional<Hop>> before) {
        Deque<Hop> hops = new ArrayDeque<>();
        for (Optional<Hop> hop = Optional.of(last);
                hop.isPresent();
                hop = before.getOrDefault(hop.get(), Optional.empty())) {
            hops.addFirst(hop.get());
        }
        return new SignalPath(List.copyOf(hops));
    }

    /** All ways from a box to another that pass no port twice, the shortest first, at most so many. */
    public List<SignalPath> all(DeviceId sender, DeviceId receiver, int atMost) {
        List<SignalPath> found = new ArrayList<>();
        Deque<List<Hop>> open = new ArrayDeque<>();
        leaving(sender).forEach(hop -> open.add(List.of(hop)));
        for (int looked = 0; !open.isEmpty() && found.size() < atMost && looked < 20_000; looked++) {
            List<Hop> way = open.poll();
            if (way.getLast().arrivesAt().equals(receiver)) {
                found.add(new SignalPath(way));
                continue;
            }
            onward(way.getLast()).stream()
                    .filter(next -> way.stream()
                            .noneMatch(hop ->
                                    hop.to().equals(next.to()) && hop.link().equals(next.link())))
                    .forEach(next -> open.add(
                            Stream.concat(way.stream(), Stream.of(next)).toList()));
        }
        return found;
    }

    /** Every device that a box reaches, in the order of nearness. */
    public Set<DeviceId> reach(DeviceId sender) {
        return nearest(sender).keySet();
    }

    /** Whether a box makes messages of its own: a board, a box with other controls, an app that sends. */
    public boolean isSource(DeviceId device) {
        Model model = rig.model(device);
        boolean makes = model.board().isPresent()
                || !model.surface().groups().isEmpty()
                || model.isApp() && !model.parts().isEmpty();
        return makes && !leaving(device).isEmpty();
    }

    /**
     * The shortest ways, from everything that makes messages to everything that acts on any, that fulfil a condition.
     */
    public List<SignalPath> allShortest(Predicate<SignalPath> condition) {
        return rig.devices().stream()
                .map(Device::id)
                .filter(this::isSource)
                .flatMap(sender -> nearest(sender).entrySet().stream()
                        .filter(e -> !e.getKey().equals(sender)
                                && !rig.model(e.getKey()).parts().isEmpty())
                        .map(Map.Entry::getValue))
                .filter(condition)
                .toList();
    }

    /** Every piece that anything sent by a box can take. */
    public Set<Hop> pieces(DeviceId sender) {
        Set<Hop> seen = new LinkedHashSet<>();
        Deque<Hop> open = new ArrayDeque<>(leaving(sender));
        while (!open.isEmpty()) {
            Hop hop = open.poll();
            if (seen.add(hop)) {
                open.addAll(onward(hop));
            }
        }
        return seen;
    }

    /** The ports of a box, of these directions, that hold no link but those to apps inside it. */
    public List<Socket> freeSockets(DeviceId device, Collection<Direction> directions) {
        return rig.model(device).midiPorts().stream()
                .filter(p -> directions.contains(p.direction()))
                .map(p -> new Socket(device, p.id()))
                .filter(socket -> rig.linksIn(socket).stream().allMatch(link -> rig.kind(link) == LinkKind.INSIDE))
                .toList();
    }

    private Optional<SignalPath> shortest(DeviceId sender, DeviceId receiver, Message message) {
        record Carried(Hop hop, Message message) {}
        Map<Carried, Optional<Carried>> before = new HashMap<>();
        Deque<Carried> open = new ArrayDeque<>();
        for (Hop hop : leaving(sender)) {
            Carried first = new Carried(hop, message);
            before.put(first, Optional.empty());
            open.add(first);
        }
        while (!open.isEmpty()) {
            Carried at = open.poll();
            if (at.hop.arrivesAt().equals(receiver)) {
                Deque<Hop> hops = new ArrayDeque<>();
                for (Optional<Carried> c = Optional.of(at);
                        c.isPresent();
                        c = before.getOrDefault(c.get(), Optional.empty())) {
                    hops.addFirst(c.get().hop);
                }
                return Optional.of(new SignalPath(List.copyOf(hops)));
            }
            for (Hop next : onward(at.hop)) {
                next.pass(at.message)
                        .map(passed -> new Carried(next, passed))
                        .filter(c -> before.putIfAbsent(c, Optional.of(at)) == null)
                        .ifPresent(open::add);
            }
        }
        return Optional.empty();
    }

    private List<Hop> findLeaving(DeviceId device) {
        return outputs(device).stream()
                .flatMap(socket -> over(Optional.empty(), MidiFilter.OPEN, socket, link -> true))
                .toList();
    }

    private List<Hop> findOnward(Hop hop) {
        Socket at = hop.to();
        if (rig.model(at.device()).kind() == Kind.HOST) {
            boolean fromInside = rig.kind(hop.link()) == LinkKind.INSIDE;
            return over(
                            Optional.empty(),
                            MidiFilter.OPEN,
                            at,
                            link -> (rig.kind(link) == LinkKind.INSIDE) != fromInside)
                    .toList();
        }
        return rig.model(at.device()).sockets().routes().keySet().stream()
                .filter(route -> route.from().equals(at.port()))
                .flatMap(route -> through(at.device(), route))
                .filter(next -> !next.link().equals(hop.link()))
                .toList();
    }

    private Stream<Hop> through(DeviceId device, Route route) {
        MidiFilter filter = rig.filter(device, route);
        boolean off = rig.unmet(device, Ability.SENDS).isPresent()
                || rig.unmet(device, Ability.HEARS_NOTES).isPresent();
        return filter.open() && !off
                ? over(Optional.of(route), filter, new Socket(device, route.to()), link -> true)
                : Stream.empty();
    }

    private Stream<Hop> over(Optional<Route> through, MidiFilter filter, Socket socket, Predicate<Link> wanted) {
        return rig.linksIn(socket).stream()
                .filter(link -> link.from().equals(socket) || rig.kind(link).isBothWays())
                .filter(link -> wanted.test(link) && working.test(link) && readiness.carries(link))
                .filter(link ->
                        alive.test(link.from().device()) && alive.test(link.to().device()) && hostsLive(link))
                .map(link -> pieces.computeIfAbsent(
                        new Hop(through, filter, socket, link, link.beyond(socket)), piece -> piece));
    }

    private boolean hostsLive(Link link) {
        return alive.test(rig.box(link.from().device()))
                && alive.test(rig.box(link.to().device()));
    }

    /** Whether a piece only repeats what comes in, as a THRU does, so that it takes no time of its own. */
    public boolean isRepeated(Hop hop) {
        return hop.through().isPresent()
                && hop.filter().isPlain()
                && rig.port(hop.from()).direction() == Direction.THRU
                && inputsOf(hop.from()) == 1;
    }

    private long inputsOf(Socket thru) {
        return rig.model(thru.device()).sockets().routes().keySet().stream()
                .filter(route -> route.to().equals(thru.port()))
                .map(route -> rig.model(thru.device()).port(route.from()).map(Port::connector))
                .filter(c -> c.filter(Connector::isSerial).isPresent())
                .count();
    }
}
