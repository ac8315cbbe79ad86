package embrack.core.world;

import java.util.List;

/**
 * What came of one press.
 *
 * @param after the state when the last message has arrived
 * @param trace everything that happened, in order of time
 */
public record Pressed(World after, List<Event> trace) {

    public Pressed {
        trace = List.copyOf(trace);
    }

    /** When the last message had arrived, microseconds since the simulation began; 0 when none did. */
    public long lastArrivalMicros() {
        return trace.stream()
                .filter(e -> e instanceof Event.Arrived)
                .mapToLong(Event::atMicros)
                .max()
                .orElse(0);
    }
}
