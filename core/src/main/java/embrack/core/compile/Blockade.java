package embrack.core.compile;

import embrack.core.gear.Ability;
import embrack.core.gear.Condition;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.way.Hop;
import embrack.core.way.SignalPath;
import embrack.core.way.Ways;
import embrack.core.word.Phrase;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Says what keeps a message from arriving. */
final class Blockade {

    private static final String ROOM = "core/compile";

    private final Ways ways;
    private final Rig rig;

    Blockade(Ways ways) {
        this.ways = ways;
        this.rig = ways.rig();
    }

    /** What stands between a board and a device that the message does not reach. */
    Obstacle between(DeviceId board, DeviceId receiver, Message message) {
        return ways.between(board, receiver)
                .flatMap(way -> filter(way, message))
                .or(() -> lack(board, receiver))
                .<Obstacle>map(Obstacle.KeptBack::new)
                .orElseGet(Obstacle.NoPath::new);
    }

    private Optional<Phrase> filter(SignalPath way, Message message) {
        Optional<Message> left = Optional.of(message);
        for (Hop hop : way.hops()) {
            Optional<Message> before = left;
            left = left.flatMap(hop::pass);
            if (left.isEmpty() && before.isPresent()) {
                return Optional.of(Phrase.of(ROOM, "sieved")
                        .with("device", hop.from().device())
                        .with("port", rig.port(hop.from()).name())
                        .with("sieve", hop.filter().words()));
            }
        }
        return Optional.empty();
    }

    /**
     * What lies at the edge of what the board reaches: a link that does not carry yet, a way through that is shut, an
     * app whose output is off.
     */
    private Optional<Phrase> lack(DeviceId board, DeviceId receiver) {
        Set<DeviceId> reached = new HashSet<>(ways.reach(board));
        reached.add(board);
        for (DeviceId device : List.copyOf(reached)) {
            for (Link link : links(device)) {
                Optional<Phrase> lack =
                        ways.readiness().lack(link).map(l -> l.what()).filter(w -> leadsOn(link, reached, receiver));
                if (lack.isPresent()) {
                    return lack;
                }
            }
        }
        return reached.stream()
                .flatMap(device -> shut(board, device, reached, receiver).stream())
                .findFirst();
    }

    private Optional<Phrase> shut(DeviceId sender, DeviceId device, Set<DeviceId> reached, DeviceId receiver) {
        boolean leads = links(device).stream().anyMatch(link -> leadsOn(link, reached, receiver));
        if (!leads) {
            return Optional.empty();
        }
        Optional<Condition> unmet = rig.unmet(device, Ability.SENDS);
        if (unmet.isPresent()) {
            return unmet.map(condition -> Phrase.of(ROOM, "output-off")
                    .with("device", device)
                    .with("setting", rig.settingOf(device, condition).name())
                    .with("now", rig.shown(device, condition)));
        }
        if (device.equals(sender)) {
            return Optional.empty();
        }
        return rig.model(device).sockets().routes().keySet().stream()
                .filter(route -> !rig.filter(device, route).open())
                .findFirst()
                .map(route -> Phrase.of(ROOM, "shut")
                        .with("device", device)
                        .with(
                                "from",
                                rig.model(device)
                                        .port(route.from())
                                        .orElseThrow()
                                        .name())
                        .with(
                                "to",
                                rig.model(device).port(route.to()).orElseThrow().name()));
    }

    /** The links of a device that messages can take at all. */
    private List<Link> links(DeviceId device) {
        return rig.linksIn(device).stream()
                .filter(link -> rig.kind(link).carriesMidi())
                .toList();
    }

    /** Whether the receiver is beyond a link, on the side that is not reached, whatever kind carries messages. */
    private boolean leadsOn(Link link, Set<DeviceId> reached, DeviceId receiver) {
        Deque<DeviceId> open =
                new ArrayDeque<>(List.of(link.from().device(), link.to().device()));
        open.removeIf(reached::contains);
        Set<DeviceId> seen = new HashSet<>(reached);
        while (!open.isEmpty()) {
            DeviceId device = open.poll();
            if (device.equals(receiver)) {
                return true;
            }
            if (seen.add(device)) {
                links(device)
                        .forEach(next -> open.addAll(
                                List.of(next.from().device(), next.to().device())));
            }
        }
        return false;
    }
}
