package embrack.core.run;

import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.Verb;
import embrack.core.rig.DeviceId;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What was recorded while a run goes on, and how long one round of it is: from the press that began to record to the
 * one that ended it. A box forgets it as it loads another memory, and in the dark.
 */
final class Loops {

    private static final int STOPPED = 0;
    private static final int RECORDING = 3;

    private final SortedMap<Place, Loop> loops;

    Loops(Map<Place, Loop> loops) {
        this.loops = new TreeMap<>(loops);
    }

    SortedMap<Place, Loop> all() {
        return loops;
    }

    /** A box did something, by which the rig became another. */
    void did(DeviceId box, List<Action> actions, World before, World after, long now) {
        for (Action action : actions) {
            var place = new Place(box, action.part(), Aspect.TRANSPORT);
            if (action.verb().isExclusive()) {
                loops.keySet().removeIf(other -> other.device().equals(box));
            } else if (action.verb() == Verb.CLEAR) {
                loops.remove(place);
            } else if (action.verb().aspect() == Aspect.TRANSPORT) {
                turned(place, before.value(place), after.value(place), now);
            }
        }
        // What stops all of a box ends what it was recording.
        loops.replaceAll((place, loop) -> place.device().equals(box) && loop.isOpen() && after.value(place) != RECORDING
                ? loop.closed(now)
                : loop);
    }

    /** What records on top of what plays already is as long as that. */
    private void turned(Place place, int was, int is, long now) {
        if (is == RECORDING && was == STOPPED) {
            loops.putIfAbsent(place, new Loop(now, 0));
        }
    }

    /** Something befell the rig. */
    void befell(World after) {
        loops.keySet().removeIf(place -> after.isDark(place.device()));
    }
}
