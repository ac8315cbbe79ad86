package embrack.core.rig;

import embrack.core.gear.Connector;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.Port;
import embrack.core.gear.Route;
import embrack.core.gear.library.Library;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What could stand between two ports that do not fit each other. */
final class GoBetween {

    private GoBetween() {}

    /** What would make it possible, in a sentence: a box that is spare in the rig before one that ships. */
    static String advice(Rig rig, Socket from, Socket to) {
        Connector sender = rig.port(from).connector();
        Connector receiver = rig.port(to).connector();
        if (sender.carriesSound() && receiver.carriesSound()) {
            return sound(rig, sender, receiver);
        }
        if (sender.carriesSound() || receiver.carriesSound()) {
            return "Sound goes to sound, and messages to messages.";
        }
        if (!sender.carriesMidi() || !receiver.carriesMidi()) {
            return "Messages do not pass %s.".formatted(sender.carriesMidi() ? rig.words(to) : rig.words(from));
        }
        Connector near = meeting(rig, from);
        Connector far = meeting(rig, to);
        Optional<Device> spare = rig.devices().stream()
                .filter(device -> rig.linksIn(device.id()).isEmpty() && joins(rig.model(device.id()), near, far))
                .findFirst();
        return spare.map(device -> "A %s between them would do it; you have one spare: %s."
                        .formatted(rig.model(device.id()).name(), device.name()))
                .or(() -> Library.all().stream()
                        .filter(model -> joins(model, near, far))
                        .findFirst()
                        .map(model -> "A %s between them would do it; there is none spare in this rig."
                                .formatted(model.name())))
                .orElse("No one box joins the two; go by way of a computer.");
    }

    /** The box between two sockets for sound: one that is spare before one that ships. */
    private static String sound(Rig rig, Connector sender, Connector receiver) {
        String why = sender.isStereo() && receiver.isLine()
                ? "Two sides on one plug: a balanced input would hear what differs between them, so what is the same on"
                        + " both would be gone. "
                : "";
        return why
                + rig.devices().stream()
                        .filter(device ->
                                rig.linksIn(device.id()).isEmpty() && carries(rig.model(device.id()), sender, receiver))
                        .findFirst()
                        .map(device -> "%s is spare and goes between them.".formatted(device.name()))
                        .or(() -> Library.all().stream()
                                .filter(model -> carries(model, sender, receiver))
                                .findFirst()
                                .map(model ->
                                        "%s would do it; there is none spare in this rig.".formatted(model.name())))
                        .orElse("No one box joins the two.");
    }

    private static boolean carries(Model model, Connector sender, Connector receiver) {
        return model.sound().ways().stream()
                .anyMatch(way -> LinkKind.between(
                                        sender,
                                        model.port(way.from().port())
                                                .orElseThrow()
                                                .connector())
                                .isPresent()
                        && LinkKind.between(
                                        model.port(way.to().port())
                                                .orElseThrow()
                                                .connector(),
                                        receiver)
                                .isPresent());
    }

    /** What a box between has to fit: the port itself, or the computer's USB where it is inside one. */
    private static Connector meeting(Rig rig, Socket socket) {
        Connector connector = rig.port(socket).connector();
        return connector == Connector.VIRTUAL ? Connector.USB_HOST : connector;
    }

    private static boolean joins(Model model, Connector near, Connector far) {
        return model.kind() == Kind.INTERFACE
                && Stream.of(model)
                        .flatMap(m -> m.sockets().routes().keySet().stream())
                        .anyMatch(route -> fits(model, route, near, far)
                                || bothWays(model, route)
                                        && fits(model, new Route(route.to(), route.from()), near, far));
    }

    private static boolean bothWays(Model model, Route route) {
        return Stream.of(route.from(), route.to())
                .allMatch(id -> !model.port(id).orElseThrow().connector().isSerial());
    }

    private static boolean fits(Model model, Route route, Connector near, Connector far) {
        List<Port> ends = Stream.of(route.from(), route.to())
                .map(id -> model.port(id).orElseThrow())
                .toList();
        return LinkKind.between(ends.getFirst().connector(), near)
                        .filter(kind -> kind != LinkKind.INSIDE)
                        .isPresent()
                && LinkKind.between(ends.getLast().connector(), far)
                        .filter(kind -> kind != LinkKind.INSIDE)
                        .isPresent();
    }
}
