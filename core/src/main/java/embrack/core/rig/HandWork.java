package embrack.core.rig;

import embrack.core.chart.Action;
import embrack.core.chart.PartId;
import embrack.core.gear.Model;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What people do at a box with their hands, so that no message tells of it.
 *
 * @param atDoors how they set it before the first press, in order; each leaves a part in one state, however it stood
 * @param worked parts that they may move at any time of the show
 */
public record HandWork(List<Action> atDoors, SortedSet<PartId> worked) {

    /** Nobody touches it. */
    public static final HandWork NONE = new HandWork(List.of(), Collections.emptySortedSet());

    /** As many things are set at one box. */
    public static final int MOST = 200;

    public HandWork {
        atDoors = List.copyOf(atDoors);
        worked = Collections.unmodifiableSortedSet(new TreeSet<>(worked));
        if (atDoors.size() > MOST) {
            throw new IllegalArgumentException("At doors, at most %d things are set at a box.".formatted(MOST));
        }
        for (Action action : atDoors) {
            if (!isState(action)) {
                throw new IllegalArgumentException(
                        "At doors a part is set to a state; \"%s\" depends on how it stood before."
                                .formatted(action.verb().words()));
            }
        }
    }

    /** Whether an action leaves its part in one state, however it stood. */
    public static boolean isState(Action action) {
        return !action.verb().aspect().isCount()
                && action.verb().leaves(action.amount().orElse(0)).isPresent();
    }

    /** With one more thing that is set at doors; what was said of the same part in this respect goes. */
    public HandWork withAtDoors(Action action) {
        List<Action> more = new ArrayList<>(withoutAtDoors(action).atDoors);
        more.add(action);
        return new HandWork(more, worked);
    }

    /** Without what is set at doors in the respect that an action is about. */
    public HandWork withoutAtDoors(Action action) {
        return new HandWork(
                atDoors.stream()
                        .filter(other -> !other.part().equals(action.part())
                                || other.verb().aspect() != action.verb().aspect())
                        .toList(),
                worked);
    }

    public HandWork withWorked(SortedSet<PartId> others) {
        return new HandWork(atDoors, others);
    }

    /** What of it a model has. */
    public HandWork in(Model model) {
        SortedSet<PartId> left = new TreeSet<>(worked);
        left.removeIf(part -> model.part(part).isEmpty());
        return new HandWork(
                atDoors.stream()
                        .filter(action -> model.implementation()
                                .aspects(action.part())
                                .contains(action.verb().aspect()))
                        .toList(),
                left);
    }
}
