package embrack.core.world;

import embrack.core.gear.Kind;
import embrack.core.gear.Route;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.way.Hop;
import embrack.core.way.Timing;
import embrack.core.way.Ways;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The pieces of all ways of a rig, each with a number and with what it does to the time of a message. */
final class Pieces {

    private static final Piece[] NONE = {};

    private final Rig rig;
    private final Ways ways;
    private final Timing timing;
    private final Map<Hop, Piece> pieces = new IdentityHashMap<>();
    private final Map<Socket, Integer> ports = new HashMap<>();
    private final Map<Socket, Piece[]> leaving = new HashMap<>();

    Pieces(Ways ways) {
        this.rig = ways.rig();
        this.ways = ways;
        this.timing = new Timing(ways);
    }

    /** A piece of a way: through a box to one of its ports, then over a link. */
    final class Piece {

        private final int number;
        private final Hop hop;
        private final int port;
        private final long waitMicros;
        private final boolean anew;
        private final boolean plain;
        private final boolean joins;
        private Piece @Nullable [] onward;

        private Piece(int number, Hop hop) {
            this.number = number;
            this.hop = hop;
            this.port = Pieces.this.port(hop.from());
            this.waitMicros = timing.waiting(hop).worst();
            this.anew = rig.kind(hop.link()) == LinkKind.FIVE_PIN && !ways.isRepeated(hop);
            this.plain = hop.filter().isPlain();
            this.joins = !plain || hasManyBefore(hop) || comesBack(hop);
        }

        int number() {
            return number;
        }

        Hop hop() {
            return hop;
        }

        Link link() {
            return hop.link();
        }

        /** The number of the port that it leaves by. */
        int port() {
            return port;
        }

        /** The longest that a message waits on it. */
        long waitMicros() {
            return waitMicros;
        }

        /** Whether a message is sent anew on it, byte by byte. */
        boolean isAnew() {
            return anew;
        }

        /** Whether it lets everything through as it is. */
        boolean isPlain() {
            return plain;
        }

        /** Whether copies of a message can meet on it, so that they have to be counted. */
        boolean joins() {
            return joins;
        }

        /** The pieces that may follow. */
        Piece[] onward() {
            Piece[] known = onward;
            if (known == null) {
                known = numbered(ways.onward(hop));
                onward = known;
            }
            return known;
        }
    }

    /** The first pieces by which a message leaves an output. */
    Piece[] leaving(Socket output) {
        return leaving.computeIfAbsent(
                output,
                socket -> numbered(ways.leaving(socket.device()).stream()
                        .filter(hop -> hop.from().equals(socket))
                        .toList()));
    }

    /** The number of a port. */
    int port(Socket socket) {
        return ports.computeIfAbsent(socket, s -> ports.size());
    }

    private Piece[] numbered(List<Hop> hops) {
        if (hops.isEmpty()) {
            return NONE;
        }
        List<Piece> found = new ArrayList<>();
        for (Hop hop : hops) {
            found.add(pieces.computeIfAbsent(hop, h -> new Piece(pieces.size(), h)));
        }
        return found.toArray(Piece[]::new);
    }

    /** Whether a piece leads to itself again. */
    private boolean comesBack(Hop hop) {
        Set<Hop> seen = Collections.newSetFromMap(new IdentityHashMap<>());
        Deque<Hop> open = new ArrayDeque<>(ways.onward(hop));
        while (!open.isEmpty()) {
            Hop next = open.poll();
            if (next == hop) {
                return true;
            }
            if (seen.add(next)) {
                open.addAll(ways.onward(next));
            }
        }
        return false;
    }

    /**
     * Whether more than one piece may lead to this one. Where that is not plain, it is taken to be so: what is counted
     * needlessly is counted rightly.
     */
    private boolean hasManyBefore(Hop hop) {
        Optional<Socket> input =
                hop.through().map(Route::from).map(port -> new Socket(hop.from().device(), port));
        if (input.isEmpty()) {
            return rig.model(hop.from().device()).kind() == Kind.HOST;
        }
        List<Link> links = rig.linksIn(input.get());
        if (links.size() != 1) {
            return true;
        }
        Socket before = links.getFirst().beyond(input.get());
        return rig.model(before.device()).kind() == Kind.HOST
                || rig.model(before.device()).sockets().routes().keySet().stream()
                                .filter(route -> route.to().equals(before.port()))
                                .count()
                        > 1;
    }
}
