package embrack.core.rig;

import java.util.Comparator;

/**
 * A cable between two sockets.
 *
 * @param from the socket that sends
 * @param to the socket that receives
 */
public record Cable(Socket from, Socket to) implements Comparable<Cable> {

    private static final Comparator<Cable> ORDER = Comparator.comparing(Cable::from).thenComparing(Cable::to);

    /** Whether one of its plugs is in that socket. */
    public boolean isIn(Socket socket) {
        return from.equals(socket) || to.equals(socket);
    }

    /** Whether one of its plugs is in that device. */
    public boolean isIn(DeviceId device) {
        return from.device().equals(device) || to.device().equals(device);
    }

    @Override
    public int compareTo(Cable other) {
        return ORDER.compare(this, other);
    }
}
