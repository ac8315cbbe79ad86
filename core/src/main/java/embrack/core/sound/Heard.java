package embrack.core.sound;

import embrack.core.gear.Ear;
import embrack.core.rig.Socket;
import embrack.core.sound.Spread.Carried;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** Who hears what while everything stands as it does. */
public final class Heard {

    private final SoundPaths paths;
    private final Map<Source, List<Carried>> sides;
    private final double[] factors;

    Heard(SoundPaths paths, Map<Source, List<Carried>> sides, double[] factors) {
        this.paths = paths;
        this.sides = sides;
        this.factors = factors;
    }

    /** What of a source arrives at a listener. */
    public Arrival arrival(Source source, Listener listener) {
        return paths.arrival(Objects.requireNonNull(sides.get(source), "source"), listener);
    }

    /** What of a source arrives at a socket. */
    public Arrival arrival(Source source, Socket socket) {
        return paths.arrival(
                Objects.requireNonNull(sides.get(source), "source"),
                new Listener(Optional.empty(), Ear.HOUSE, paths.points(socket)));
    }

    /** Whether anybody hears a source. */
    public boolean isHeard(Source source) {
        return paths.listeners().stream()
                .anyMatch(listener -> arrival(source, listener).isHeard());
    }

    /** The steps on which a source comes to a listener, in the order of the sound; none where it does not. */
    public List<Strand> way(Source source, Listener listener) {
        return paths.way(source, listener, factors);
    }
}
