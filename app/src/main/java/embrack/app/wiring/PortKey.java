package embrack.app.wiring;

import embrack.app.store.Because;
import embrack.core.edit.Refused;
import embrack.core.gear.PortId;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.util.Optional;

/** Ports and links in addresses and forms: {@code vocal-mixer.in}, {@code voice-board.out~vocal-mixer.in}. */
final class PortKey {

    private PortKey() {}

    static String of(Socket socket) {
        return socket.device() + "." + socket.port();
    }

    static String of(Link link) {
        return of(link.from()) + "~" + of(link.to());
    }

    /**
     * The port that a key is about, whether a rig has it or not.
     *
     * @param field where it is said that it is about none
     */
    static Socket parse(String field, String key) {
        int dot = key.indexOf('.');
        if (dot < 0) {
            throw new Refused(field, Because.of("no.no-port"));
        }
        return Refused.at(
                field, () -> new Socket(new DeviceId(key.substring(0, dot)), new PortId(key.substring(dot + 1))));
    }

    /** The port that a key names, if the rig has it. */
    static Optional<Socket> find(Rig rig, String key) {
        int dot = key.indexOf('.');
        return dot < 0
                ? Optional.empty()
                : rig.devices().stream()
                        .filter(d -> d.id().text().equals(key.substring(0, dot)))
                        .findFirst()
                        .flatMap(d -> rig.model(d.id()).ports().stream()
                                .filter(p -> p.id().text().equals(key.substring(dot + 1)))
                                .findFirst()
                                .map(p -> new Socket(d.id(), p.id())));
    }

    /** The link that a key names by its two ends, in either order, if the rig has it. */
    static Optional<Link> findLink(Rig rig, String key) {
        String[] ends = key.split("~", 2);
        return ends.length < 2
                ? Optional.empty()
                : find(rig, ends[0])
                        .flatMap(from -> find(rig, ends[1])
                                .flatMap(to -> rig.link(from, to).or(() -> rig.link(to, from))));
    }

    /** The device that a key names, if the rig has it. */
    static Optional<DeviceId> findDevice(Rig rig, String key) {
        return rig.devices().stream()
                .map(d -> d.id())
                .filter(id -> id.text().equals(key))
                .findFirst();
    }
}
