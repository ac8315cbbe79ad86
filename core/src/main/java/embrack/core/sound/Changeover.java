package embrack.core.sound;

import embrack.core.chart.Aspect;
import embrack.core.gear.Gate;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Pair;
import java.util.HashSet;
import java.util.OptionalInt;
import java.util.Set;

/**
 * How sound is let through while one of a pair is in and the other is not: a box that passes on one of the two passes
 * on that one; all else stands as before.
 */
public final class Changeover implements Stand {

    private static final int THROUGH = 1;
    private static final int SHUT = 0;

    private final Set<GateAt> through;
    private final Set<GateAt> shut;
    private final Stand before;

    private record GateAt(DeviceId device, Gate gate) {}

    private Changeover(Set<GateAt> through, Set<GateAt> shut, Stand before) {
        this.through = through;
        this.shut = shut;
        this.before = before;
    }

    /** While the first of a pair is in, as it should be. */
    public static Stand first(SoundPaths paths, Pair pair, Stand before) {
        return new Changeover(choices(paths, pair.first()), choices(paths, pair.second()), before);
    }

    /** While the second of a pair is in for the first. */
    public static Stand second(SoundPaths paths, Pair pair, Stand before) {
        return new Changeover(choices(paths, pair.second()), choices(paths, pair.first()), before);
    }

    /** While the second of every pair is in. */
    public static Stand seconds(SoundPaths paths, Stand before) {
        Stand stand = before;
        for (Pair pair : paths.rig().pairs()) {
            stand = second(paths, pair, stand);
        }
        return stand;
    }

    /** What is chosen somewhere so that the sound of a device passes. */
    private static Set<GateAt> choices(SoundPaths paths, DeviceId device) {
        Set<GateAt> choices = new HashSet<>();
        paths.of(device).values().stream()
                .flatMap(source -> paths.reach(source).stream())
                .forEach(strand -> strand.gates().stream()
                        .filter(gate -> gate.aspect() == Aspect.CHOSEN)
                        .forEach(gate -> choices.add(new GateAt(strand.from().device(), gate))));
        return choices;
    }

    @Override
    public OptionalInt of(DeviceId device, Gate gate) {
        GateAt at = new GateAt(device, gate);
        return through.contains(at)
                ? OptionalInt.of(THROUGH)
                : shut.contains(at) ? OptionalInt.of(SHUT) : before.of(device, gate);
    }
}
