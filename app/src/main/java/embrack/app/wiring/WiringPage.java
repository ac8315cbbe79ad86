package embrack.app.wiring;

import embrack.core.midi.Wire;
import embrack.core.rig.Cable;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** All that the wiring room shows. */
record WiringPage(WiringPicture picture, List<SocketChoice> sockets, String from, String to, List<CableRow> cables) {

    /** A socket to choose for an end of a cable. */
    record SocketChoice(String key, String words, boolean sends) {
    }

    /** A cable in the list. */
    record CableRow(String from, String to, String kind, String fromWords, String toWords) {
    }

    static WiringPage of(Rig rig, Optional<Socket> from, Optional<Socket> to) {
        List<Socket> chosen = Stream.of(from, to).flatMap(Optional::stream).toList();
        return new WiringPage(WiringPicture.of(rig, chosen), sockets(rig),
                from.map(WiringPicture::key).orElse(""), to.map(WiringPicture::key).orElse(""),
                rig.cables().stream().map(cable -> row(rig, cable)).toList());
    }

    /** The socket that a link names, if the rig has it. */
    static Optional<Socket> find(Rig rig, String key) {
        return all(rig).filter(socket -> WiringPicture.key(socket).equals(key)).findFirst();
    }

    private static List<SocketChoice> sockets(Rig rig) {
        return all(rig).map(socket -> new SocketChoice(WiringPicture.key(socket), "%s %s%s".formatted(rig.name(socket.device()),
                rig.port(socket).words(), rig.cableIn(socket).isPresent() ? " (taken)" : ""), rig.port(socket).direction().isSending())).toList();
    }

    private static Stream<Socket> all(Rig rig) {
        return rig.devices().stream().flatMap(d -> rig.model(d.id()).cablePorts().stream().map(p -> new Socket(d.id(), p.id())));
    }

    private static CableRow row(Rig rig, Cable cable) {
        return new CableRow(WiringPicture.key(cable.from()), WiringPicture.key(cable.to()),
                "%s, %d µs a byte".formatted(rig.port(cable.from()).connector().words(), Wire.MICROS_PER_BYTE),
                rig.words(cable.from()), rig.words(cable.to()));
    }
}
