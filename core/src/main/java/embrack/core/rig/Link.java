package embrack.core.rig;

import java.util.Comparator;
import java.util.Optional;

/**
 * What joins two ports: a cable, a wireless or network connection, a connection inside a computer, a power lead.
 *
 * @param from the port that sends; of a link that carries both ways, the one nearer to the hands
 * @param to the port that receives
 * @param length of a cable, where it was measured
 * @param measured how long messages wait at it, where that was measured
 */
public record Link(Socket from, Socket to, Optional<Length> length, Optional<Measured> measured)
        implements Comparable<Link> {

    private static final Comparator<Link> ORDER =
            Comparator.comparing(Link::from).thenComparing(Link::to);

    /** A link whose length is not known, or that has none. */
    public Link(Socket from, Socket to) {
        this(from, to, Optional.empty(), Optional.empty());
    }

    /** Whether one of its ends is in that port. */
    public boolean isIn(Socket socket) {
        return from.equals(socket) || to.equals(socket);
    }

    /** Whether one of its ends is in that device. */
    public boolean isIn(DeviceId device) {
        return from.device().equals(device) || to.device().equals(device);
    }

    /** Whether it joins these two ports, in this direction. */
    public boolean joins(Socket one, Socket other) {
        return from.equals(one) && to.equals(other);
    }

    /** The other end. */
    public Socket beyond(Socket socket) {
        return from.equals(socket) ? to : from;
    }

    public Link withLength(Optional<Length> other) {
        return new Link(from, to, other, measured);
    }

    public Link withMeasured(Optional<Measured> other) {
        return new Link(from, to, length, other);
    }

    /** By the ends; a rig has at most one link between two ports. */
    @Override
    public int compareTo(Link other) {
        return ORDER.compare(this, other);
    }
}
