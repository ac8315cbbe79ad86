package embrack.app.wiring;

import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.util.List;

/** The wiring as a plain table: every link, and two lists of ports to make one more. */
record LinkTable(List<LinkRow> links, List<PortChoice> ports, String from, String to) {

    /** A port to choose for an end of a link. */
    record PortChoice(String key, String words) {}

    static LinkTable of(Rig rig, String from, String to) {
        return new LinkTable(
                LinkRow.all(rig, rig.links()),
                rig.devices().stream()
                        .flatMap(d -> Layout.ports(rig, d.id()).map(p -> new Socket(d.id(), p.id())))
                        .map(socket -> new PortChoice(
                                PortKey.of(socket),
                                "%s %s%s"
                                        .formatted(
                                                rig.name(socket.device()),
                                                rig.port(socket).words(),
                                                rig.linksIn(socket).isEmpty() ? "" : " (joined)")))
                        .toList(),
                from,
                to);
    }
}
