package embrack.app.wiring;

import embrack.core.compile.Compiler;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.switches.Assignment;
import embrack.core.way.SignalPath;
import embrack.core.way.Ways;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What a person looks at in the wiring picture. */
sealed interface Focus {

    /** The whole rig. */
    record Whole() implements Focus {}

    /** A port that is to be joined to another. */
    record OnPort(Socket socket) implements Focus {}

    /** A device; with {@code to}, the ways from it to another. */
    record OnDevice(DeviceId device, Optional<DeviceId> to) implements Focus {}

    /** A link. */
    record OnLink(Link link) implements Focus {}

    /** A switch. */
    record OnSwitch(Assignment assignment) implements Focus {}

    /** What stays lit. */
    record Lit(Set<DeviceId> devices, Set<Link> links) {}

    /** The most ways that are shown from one box to another. */
    int MOST_WAYS = 6;

    /**
     * Reads an address: {@code port:voice-board.out}, {@code device:voice-board}, {@code link:a.out~b.in}, {@code
     * switch:voice-board.1.3}; anything else is the whole rig.
     */
    static Focus parse(Plan plan, String at, String to) {
        Rig rig = plan.rig();
        String[] pieces = at.split(":", 2);
        String key = pieces.length < 2 ? "" : pieces[1];
        return switch (pieces[0]) {
            case "port" -> PortKey.find(rig, key).<Focus>map(OnPort::new).orElseGet(Whole::new);
            case "device" ->
                PortKey.findDevice(rig, key)
                        .<Focus>map(d -> new OnDevice(d, PortKey.findDevice(rig, to)))
                        .orElseGet(Whole::new);
            case "link" -> PortKey.findLink(rig, key).<Focus>map(OnLink::new).orElseGet(Whole::new);
            case "switch" ->
                plan.switches().assignments().stream()
                        .filter(a -> key(a).equals(key))
                        .findFirst()
                        .<Focus>map(OnSwitch::new)
                        .orElseGet(Whole::new);
            default -> new Whole();
        };
    }

    static String key(Assignment assignment) {
        return assignment.at().key();
    }

    /** The ways that the focus is about; the first of them the shortest. */
    static List<SignalPath> ways(Focus focus, Plan plan, Ways ways) {
        return switch (focus) {
            case Whole w -> List.of();
            case OnPort p -> List.of();
            case OnDevice d ->
                d.to().map(to -> ways.all(d.device(), to, MOST_WAYS))
                        .orElseGet(() -> ways.allShortest(way -> way.hops().stream()
                                .anyMatch(hop -> hop.arrivesAt().equals(d.device())
                                        || hop.from().device().equals(d.device()))));
            case OnLink l -> ways.allShortest(way -> way.links().contains(l.link()));
            case OnSwitch s ->
                new Compiler(plan, ways)
                        .compile(s.assignment()).allSteps().stream()
                                .flatMap(step -> step.way().stream())
                                .distinct()
                                .toList();
        };
    }

    /** What stays lit; empty when nothing fades. */
    static Optional<Lit> lit(Focus focus, Rig rig, List<SignalPath> ways) {
        if (focus instanceof Whole || focus instanceof OnPort) {
            return Optional.empty();
        }
        Set<DeviceId> devices = new HashSet<>();
        Set<Link> links = new HashSet<>();
        ways.forEach(way -> way.hops().forEach(hop -> {
            links.add(hop.link());
            devices.add(hop.from().device());
            devices.add(hop.arrivesAt());
        }));
        switch (focus) {
            case OnDevice d -> devices.add(d.device());
            case OnSwitch s -> devices.add(s.assignment().at().board());
            case OnLink l -> {
                links.add(l.link());
                devices.add(l.link().from().device());
                devices.add(l.link().to().device());
            }
            default -> {}
        }
        Set.copyOf(devices).forEach(device -> devices.add(rig.box(device)));
        return Optional.of(new Lit(devices, links));
    }
}
