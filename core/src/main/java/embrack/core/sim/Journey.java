package embrack.core.sim;

import embrack.core.midi.Message;
import embrack.core.rig.Socket;
import java.util.List;

/**
 * Where the messages of a press go.
 *
 * @param others what happens beside arriving: sent, lost, kept back, come round; as it came up
 * @param deliveries in the order of arriving
 */
record Journey(List<Event> others, List<Delivery> deliveries) {

    Journey {
        others = List.copyOf(others);
        deliveries = List.copyOf(deliveries);
    }

    /** The last byte of a message comes in at a port, so many microseconds after the simulation began. */
    record Delivery(long atMicros, Socket to, Message message) {}
}
