package embrack.core.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What came for one task, and what was planned then.
 *
 * @param planned what the box was to send when it was checked, as {@link Planned#written()} has it
 * @param bursts in the order in which they came; none where nothing came
 */
public record Came(String planned, List<Burst> bursts) {

    /** As many of one task are kept: two presses with their releases, twice. */
    public static final int MOST = 8;

    public Came {
        bursts = List.copyOf(bursts.subList(0, Math.min(MOST, bursts.size())));
    }

    /** Nothing came. */
    public static Came nothing(Planned planned) {
        return new Came(planned.written(), List.of());
    }

    /** With what came later for the same. */
    Came with(Burst burst) {
        List<Burst> more = new ArrayList<>(bursts);
        more.add(burst);
        return new Came(planned, more);
    }

    /** What came, in one line. */
    public String written() {
        return Burst.written(bursts);
    }

    /** What was kept in a table; empty when it cannot be read. */
    public static Optional<Came> parse(String planned, String written) {
        return Burst.parse(written).map(bursts -> new Came(planned, bursts));
    }
}
