package embrack.core.rig;

import embrack.core.gear.Direction;
import embrack.core.gear.Port;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The ways that messages take through a rig: out of a box, along a cable, into the next, on through its THRU. */
public final class Paths {

    private final Rig rig;

    public Paths(Rig rig) {
        this.rig = rig;
    }

    /**
     * The shortest way from a box's own outputs to another box, cable by cable; cost: the number of cables.
     *
     * @return the cables in order; empty when there is no way
     */
    public Optional<List<Cable>> between(DeviceId sender, DeviceId receiver) {
        Deque<List<Cable>> open = new ArrayDeque<>();
        Set<Cable> seen = new HashSet<>();
        cablesFrom(sender, Direction.OUT).forEach(cable -> open.add(List.of(cable)));
        while (!open.isEmpty()) {
            List<Cable> way = open.poll();
            Cable last = way.getLast();
            if (last.to().device().equals(receiver)) {
                return Optional.of(way);
            }
            if (seen.add(last)) {
                for (Cable next : cablesFrom(last.to().device(), Direction.THRU)) {
                    List<Cable> longer = new ArrayList<>(way);
                    longer.add(next);
                    open.add(longer);
                }
            }
        }
        return Optional.empty();
    }

    /** The cables that leave a box by its sockets of one direction, in the order of the sockets. */
    public List<Cable> cablesFrom(DeviceId device, Direction direction) {
        return socketsOf(device, direction).stream()
                .map(rig::cableIn).flatMap(Optional::stream)
                .toList();
    }

    /** The sockets of a box, in these directions, that hold no cable. */
    public List<Socket> freeSockets(DeviceId device, Collection<Direction> directions) {
        return directions.stream().flatMap(direction -> socketsOf(device, direction).stream())
                .filter(socket -> rig.cableIn(socket).isEmpty())
                .toList();
    }

    /** A way in words: "Voice board MIDI OUT to Vocal mixer MIDI IN". */
    public String words(List<Cable> way) {
        return String.join(", ", way.stream().map(c -> rig.words(c.from()) + " to " + rig.words(c.to())).toList());
    }

    private List<Socket> socketsOf(DeviceId device, Direction direction) {
        return rig.model(device).ports(direction).stream().map(Port::id).map(port -> new Socket(device, port)).toList();
    }
}
