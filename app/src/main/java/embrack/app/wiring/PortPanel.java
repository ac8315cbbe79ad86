package embrack.app.wiring;

import embrack.core.gear.Connector;
import embrack.core.gear.Port;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A chosen port: what it can be joined to, and why not to the rest. */
record PortPanel(
        String key, String words, String connector, List<LinkRow> holds, List<Partner> partners, List<Reason> others) {

    /** A port that it can be joined to. */
    record Partner(String key, String words) {}

    /** Why it cannot be joined to some others. */
    record Reason(String why, int ports) {}

    static PortPanel of(Rig rig, Socket socket) {
        List<Partner> partners = new ArrayList<>();
        Map<String, Integer> reasons = new LinkedHashMap<>();
        rig.devices().stream()
                .flatMap(d -> rig.sockets(d.id()).stream())
                .filter(other -> isAlike(rig, socket, other))
                .filter(other -> !other.equals(socket))
                .forEach(other -> {
                    Optional<String> refusal = Linking.refusalEitherWay(rig, socket, other);
                    if (refusal.isEmpty()) {
                        partners.add(new Partner(PortKey.of(other), rig.words(other)));
                    } else if (!other.device().equals(socket.device())) {
                        reasons.merge(refusal.get(), 1, Integer::sum);
                    }
                });
        return new PortPanel(
                PortKey.of(socket),
                rig.words(socket),
                rig.port(socket).connector().words(),
                LinkRow.all(rig, rig.linksIn(socket)),
                partners,
                reasons.entrySet().stream()
                        .map(e -> new Reason(e.getKey(), e.getValue()))
                        .toList());
    }

    /** Sound is joined to sound; messages and power to each other's sort. */
    private static boolean isAlike(Rig rig, Socket socket, Socket other) {
        Port port = rig.port(other);
        return rig.port(socket).carriesSound()
                ? port.isSoundSocket()
                : port.carriesMidi() || port.connector() == Connector.POWER;
    }
}
