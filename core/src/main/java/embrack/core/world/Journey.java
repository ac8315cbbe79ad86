package embrack.core.world;

import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import java.util.List;
import java.util.Optional;

/**
 * Where the messages of a press go.
 *
 * @param others what happens beside arriving: sent, lost, kept back, come round; as it came up
 * @param deliveries in the order of arriving
 */
public record Journey(List<Happened> others, List<Delivery> deliveries) {

    /** Nothing is sent. */
    public static final Journey NOTHING = new Journey(List.of(), List.of());

    public Journey {
        others = List.copyOf(others);
        deliveries = List.copyOf(deliveries);
    }

    /** The first box to which a message came round, so that nobody knows what it would do in the end. */
    public Optional<DeviceId> cameRoundAt() {
        return others.stream()
                .filter(Happened.CameRound.class::isInstance)
                .map(other -> other.socket().device())
                .findFirst();
    }

    /** The last byte of a message comes in at a port, so many microseconds after the simulation began. */
    public record Delivery(long atMicros, Socket to, Message message) {}
}
