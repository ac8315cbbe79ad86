package embrack.core.world;

import embrack.core.midi.Message;
import embrack.core.rig.Socket;
import java.util.List;

/**
 * Where the messages of a press go.
 *
 * @param others what happens beside arriving: sent, lost, kept back, come round; as it came up
 * @param deliveries in the order of arriving
 */
public record Journey(List<Event> others, List<Delivery> deliveries) {

    public Journey {
        others = List.copyOf(others);
        deliveries = List.copyOf(deliveries);
    }

    /** The last byte of a message comes in at a port, so many microseconds after the simulation began. */
    public record Delivery(long atMicros, Socket to, Message message) {}
}
