package embrack.core.rig;

import embrack.core.gear.Model;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Purpose;
import embrack.core.name.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;

/** Two devices that should be alike, compared setting by setting, with the computers that they live in. */
public final class Comparison {

    private Comparison() {}

    /** One thing that is not alike: what, and how it is on each. */
    public record Difference(String what, String first, String second) {}

    /** What is not alike; empty when nothing differs. */
    public static List<Difference> of(Rig rig, Pair pair) {
        List<Difference> differences = new ArrayList<>(between(rig, pair.first(), pair.second()));
        DeviceId one = rig.box(pair.first());
        DeviceId other = rig.box(pair.second());
        if (!one.equals(pair.first()) || !other.equals(pair.second())) {
            add(differences, "Computer", rig.model(one).name(), rig.model(other).name());
            if (one.equals(other)) {
                differences.add(new Difference(
                        "Computer", "lives in " + rig.name(one), "lives in the same one: it dies with it"));
            } else if (rig.model(one).id().equals(rig.model(other).id())) {
                between(rig, one, other)
                        .forEach(d -> differences.add(new Difference("Computer, " + d.what(), d.first(), d.second())));
            }
        }
        return differences;
    }

    private static List<Difference> between(Rig rig, DeviceId one, DeviceId other) {
        List<Difference> differences = new ArrayList<>();
        Model model = rig.model(one);
        model.settings().stream()
                .filter(s -> !s.isFor(Purpose.ROLE))
                .forEach(setting -> add(
                        differences,
                        setting.name(),
                        setting.shown(rig.setting(one, setting.id()).orElseThrow()),
                        setting.shown(rig.setting(other, setting.id()).orElseThrow())));
        model.sockets()
                .routes()
                .keySet()
                .forEach(route -> add(
                        differences,
                        "%s to %s".formatted(port(model, route.from()), port(model, route.to())),
                        rig.filter(one, route).words(),
                        rig.filter(other, route).words()));
        model.outputs()
                .forEach(output -> add(
                        differences,
                        output.name(),
                        rig.device(one).feed(output.id()).words(),
                        rig.device(other).feed(output.id()).words()));
        for (Port port : model.midiPorts()) {
            if (!joined(rig, one, port, (r, box) -> r.model(box).id())
                    .equals(joined(rig, other, port, (r, box) -> r.model(box).id()))) {
                differences.add(new Difference(port.name().text(), joined(rig, one, port), joined(rig, other, port)));
            }
        }
        return differences;
    }

    private static String port(Model model, PortId port) {
        return model.port(port).map(p -> p.name().text()).orElse(port.text());
    }

    /** What a port is joined to, in the names that people gave. */
    private static String joined(Rig rig, DeviceId device, Port port) {
        List<String> links = joined(rig, device, port, Rig::name);
        return links.isEmpty() ? "nothing" : Words.list(links);
    }

    /** What a port is joined to, each link by its kind and by something of the box at its other end. */
    private static List<String> joined(Rig rig, DeviceId device, Port port, BiFunction<Rig, DeviceId, Object> by) {
        Socket socket = new Socket(device, port.id());
        return rig.linksIn(socket).stream()
                .map(link -> "%s (%s)"
                        .formatted(
                                by.apply(rig, link.beyond(socket).device()),
                                rig.kind(link).words()))
                .sorted()
                .toList();
    }

    private static void add(List<Difference> differences, Object what, Object first, Object second) {
        if (!first.equals(second)) {
            differences.add(new Difference(what.toString(), first.toString(), second.toString()));
        }
    }
}
