package embrack.core.gear;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What can be plugged into a box or joined to it, and the ways through it.
 *
 * @param ports ids unique
 * @param shared sockets with more uses than they can have at once
 * @param passes ways through the box, beside those from its inputs to its THRU; true for those that are open in a new
 * box
 * @param heartbeat the output on which the heartbeat of what hangs on the box has to be, so that its other side plays
 * on when that stops
 * @param sound what it does with sound
 */
public record Sockets(
        List<Port> ports,
        List<SharedSocket> shared,
        SortedMap<Route, Boolean> passes,
        Optional<PortId> heartbeat,
        SoundInside sound) {

    public Sockets {
        ports = List.copyOf(ports);
        shared = List.copyOf(shared);
        passes = Collections.unmodifiableSortedMap(new TreeMap<>(passes));
        Set<PortId> ids = new HashSet<>();
        for (Port port : ports) {
            if (!ids.add(port.id())) {
                throw new IllegalArgumentException("the port \"%s\" is there twice".formatted(port.id()));
            }
        }
        shared.stream()
                .flatMap(s -> s.ports().stream())
                .filter(id -> !ids.contains(id))
                .findFirst()
                .ifPresent(id -> {
                    throw new IllegalArgumentException(
                            "a shared socket names the port \"%s\", which is not there".formatted(id));
                });
        heartbeat.filter(id -> !ids.contains(id)).ifPresent(id -> {
            throw new IllegalArgumentException("the heartbeat is on \"%s\", which is not there".formatted(id));
        });
        for (Route route : passes.keySet()) {
            requireIsWay(ports, route);
        }
        for (SoundRun run : sound.runs()) {
            requireSound(ports, run.from(), false);
            requireSound(ports, run.to(), true);
        }
        requireSound(ports, ends(sound.sources().keySet()), true);
        requireSound(ports, ends(sound.ears().keySet()), false);
    }

    /** Sockets that nothing shares and nothing but a THRU passes on between. */
    public Sockets(List<Port> ports, List<SharedSocket> shared) {
        this(ports, shared, Collections.emptySortedMap(), Optional.empty(), SoundInside.NONE);
    }

    /** Sockets that nothing shares. */
    public static Sockets of(Port... ports) {
        return new Sockets(List.of(ports), List.of());
    }

    public Optional<Port> port(PortId id) {
        return ports.stream().filter(port -> port.id().equals(id)).findFirst();
    }

    /**
     * All ways through the box, with whether a new box has them open: from every 5-pin or TRS input to every THRU, and
     * what it passes beside.
     */
    public SortedMap<Route, Boolean> routes() {
        SortedMap<Route, Boolean> routes = new TreeMap<>(passes);
        for (Port in : withDirection(Direction.IN)) {
            for (Port thru : withDirection(Direction.THRU)) {
                routes.putIfAbsent(new Route(in.id(), thru.id()), true);
            }
        }
        return routes;
    }

    private List<Port> withDirection(Direction direction) {
        return ports.stream()
                .filter(p -> p.connector().isSerial() && p.direction() == direction)
                .toList();
    }

    private static void requireIsWay(List<Port> ports, Route route) {
        List<PortId> missing = new ArrayList<>(List.of(route.from(), route.to()));
        for (Port port : ports) {
            if (port.id().equals(route.from())
                    && !(port.carriesMidi() && port.direction().isReceiving())) {
                throw new IllegalArgumentException(
                        "nothing comes in at %s, so nothing can be passed on from there".formatted(port.name()));
            }
            if (port.id().equals(route.to())
                    && !(port.carriesMidi() && port.direction().isSending())) {
                throw new IllegalArgumentException(
                        "%s does not send, so nothing can be passed on there".formatted(port.name()));
            }
            missing.remove(port.id());
        }
        if (!missing.isEmpty() || route.from().equals(route.to())) {
            throw new IllegalArgumentException("messages pass from one port of the box to another, was \"%s\" to \"%s\""
                    .formatted(route.from(), route.to()));
        }
    }

    private static List<SoundEnd> ends(Set<PortId> ports) {
        return ports.stream().map(port -> new SoundEnd(port, 1)).toList();
    }

    private static void requireSound(List<Port> ports, List<SoundEnd> ends, boolean out) {
        ends.forEach(end -> requireSound(ports, end, out));
    }

    private static void requireSound(List<Port> ports, SoundEnd end, boolean out) {
        Port port = ports.stream()
                .filter(p -> p.id().equals(end.port()))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "a way of sound names the port \"%s\", which is not there".formatted(end.port())));
        if (!port.carriesSound()
                || !(out ? port.direction().isSending() : port.direction().isReceiving())) {
            throw new IllegalArgumentException(
                    "sound does not %s at %s".formatted(out ? "come out" : "come in", port.name()));
        }
        if (end.channel() > port.signal().channels()) {
            throw new IllegalArgumentException("%s carries %d, so there is no channel %d"
                    .formatted(port.name(), port.signal().channels(), end.channel()));
        }
    }
}
