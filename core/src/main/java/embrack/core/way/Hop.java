package embrack.core.way;

import embrack.core.gear.Route;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.MidiFilter;
import embrack.core.rig.Socket;
import java.util.Optional;

/**
 * One piece of a way: through a box to one of its ports, then over a link.
 *
 * @param through the way through the box that was taken; empty at the start of a way, and at a computer's socket
 * @param filter what that lets pass
 * @param from the port that it leaves by
 * @param link what it goes over
 * @param to the port that it comes in at
 */
public record Hop(Optional<Route> through, MidiFilter filter, Socket from, Link link, Socket to) {

    /** The message as it leaves; empty when the box keeps it back. */
    public Optional<Message> pass(Message message) {
        return filter.pass(message);
    }

    /**
     * By the link and the way it is taken: what else there is hardly ever tells two apart, and this is asked for often.
     */
    @Override
    public int hashCode() {
        return 31 * link.from().hashCode() + to.hashCode();
    }

    /** The box it comes in at. */
    public DeviceId arrivesAt() {
        return to.device();
    }
}
