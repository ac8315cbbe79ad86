package embrack.core.world;

import java.util.List;
import java.util.stream.Stream;

/**
 * What came of something that was done to a rig.
 *
 * @param after the world then
 * @param trace everything that happened, in order of time
 */
public record Outcome(World after, List<Happened> trace) {

    public Outcome {
        trace = List.copyOf(trace);
    }

    /** This and what came of what was done next. */
    Outcome then(Outcome next) {
        return new Outcome(
                next.after, Stream.concat(trace.stream(), next.trace.stream()).toList());
    }

    /** When the last message had arrived, microseconds since the simulation began; 0 when none did. */
    public long lastArrivalMicros() {
        return trace.stream()
                .filter(e -> e instanceof Happened.Arrived)
                .mapToLong(Happened::atMicros)
                .max()
                .orElse(0);
    }
}
