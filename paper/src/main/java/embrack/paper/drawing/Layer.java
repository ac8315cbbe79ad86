package embrack.paper.drawing;

import embrack.core.gear.Connector;
import embrack.core.gear.Port;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.util.List;
import java.util.stream.Stream;

/** What of a rig a picture shows. */
public enum Layer {
    /** Messages and power. */
    MESSAGES,
    /** Sound. */
    SOUND;

    /** The boxes that are drawn, those that stand alone first. */
    public List<Device> devices(Rig rig) {
        List<Device> shown = rig.devices().stream()
                .filter(device -> shows(rig, device.id())
                        || rig.appsIn(device.id()).stream().anyMatch(app -> shows(rig, app.id())))
                .toList();
        return Stream.concat(
                        shown.stream().filter(d -> d.spot().host().isEmpty()),
                        shown.stream().filter(d -> d.spot().host().isPresent()))
                .toList();
    }

    private boolean shows(Rig rig, DeviceId device) {
        return switch (this) {
            case MESSAGES -> !rig.model(device).isForSoundAlone();
            case SOUND -> rig.model(device).ports().stream().anyMatch(Port::isSoundSocket);
        };
    }

    private static boolean isUsed(Rig rig, Socket socket) {
        return !rig.linksIn(socket).isEmpty()
                || rig.device(socket.device()).feed(socket.port()).isUsed();
    }

    /** The links that are drawn. */
    public List<Link> links(Rig rig) {
        return rig.links().stream().filter(link -> shows(rig.kind(link))).toList();
    }

    public boolean shows(LinkKind kind) {
        return kind.carriesSound() == (this == SOUND);
    }

    /** The sockets that are drawn; of many for sound those that are used, and the first that is not. */
    public List<Port> ports(Rig rig, DeviceId device) {
        List<Port> ports = rig.model(device).ports();
        if (this == MESSAGES) {
            return ports.stream()
                    .filter(p -> p.carriesMidi() || p.connector() == Connector.POWER)
                    .toList();
        }
        List<Port> sockets = ports.stream().filter(Port::isSoundSocket).toList();
        return Stream.of(true, false)
                .flatMap(out -> side(
                        rig,
                        device,
                        sockets.stream()
                                .filter(p -> p.direction().isSending() == out)
                                .toList()))
                .toList();
    }

    private static final int FEW = 4;

    private static Stream<Port> side(Rig rig, DeviceId device, List<Port> ports) {
        if (ports.size() <= FEW) {
            return ports.stream();
        }
        Stream<Port> used = ports.stream().filter(p -> isUsed(rig, new Socket(device, p.id())));
        Stream<Port> free = ports.stream()
                .filter(p -> !isUsed(rig, new Socket(device, p.id())))
                .limit(1);
        return Stream.concat(used, free);
    }
}
