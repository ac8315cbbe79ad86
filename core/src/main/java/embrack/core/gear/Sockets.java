package embrack.core.gear;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What can be plugged into a box or joined to it.
 *
 * @param ports ids unique
 * @param shared sockets with more uses than they can have at once
 */
public record Sockets(List<Port> ports, List<SharedSocket> shared) {

    public Sockets {
        ports = List.copyOf(ports);
        shared = List.copyOf(shared);
        Set<PortId> ids = new HashSet<>();
        for (Port port : ports) {
            if (!ids.add(port.id())) {
                throw new IllegalArgumentException("the port \"%s\" is there twice".formatted(port.id()));
            }
        }
        shared.stream().flatMap(s -> s.ports().stream()).filter(id -> !ids.contains(id)).findFirst().ifPresent(id -> {
            throw new IllegalArgumentException("a shared socket names the port \"%s\", which is not there".formatted(id));
        });
    }

    /** Sockets that nothing shares. */
    public static Sockets of(Port... ports) {
        return new Sockets(List.of(ports), List.of());
    }

    public Optional<Port> port(PortId id) {
        return ports.stream().filter(port -> port.id().equals(id)).findFirst();
    }
}
