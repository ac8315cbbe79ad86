package embrack.core.past;

import embrack.core.plan.Plan;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * A thing that somebody changed in a copy of a plan, which came back.
 *
 * @param difference from what the plan was as it left
 * @param meanwhile what became of it here meanwhile, a line each, where that is something else; empty where nothing did
 * @param isHere whether it is here as in the copy already
 */
public record CameBack(Difference difference, List<String> meanwhile, boolean isHere) {

    private static final String GONE = "it is not there any more";

    public CameBack {
        meanwhile = List.copyOf(meanwhile);
    }

    /** Whether it was changed here as well, otherwise: somebody has to say which of both is meant. */
    public boolean collides() {
        return !meanwhile.isEmpty();
    }

    /**
     * All that was changed in a copy, in the order of rooms.
     *
     * @param left the plan as it left
     * @param copy as it came back
     * @param now what the plan is here now
     */
    public static List<CameBack> of(Plan left, Plan copy, Plan now) {
        Map<Thing, Difference> changed = byThing(left, now);
        Map<Thing, Difference> apart = byThing(copy, now);
        return Difference.between(left, copy).stream()
                .map(difference -> {
                    boolean isHere = !apart.containsKey(difference.thing());
                    Difference here = isHere ? null : changed.get(difference.thing());
                    return new CameBack(difference, here == null ? List.of() : lines(here), isHere);
                })
                .toList();
    }

    private static Map<Thing, Difference> byThing(Plan earlier, Plan later) {
        return Difference.between(earlier, later).stream()
                .collect(Collectors.toMap(Difference::thing, difference -> difference));
    }

    private static List<String> lines(Difference difference) {
        return difference.isGone()
                ? List.of(GONE)
                : difference.after().stream()
                        .filter(line -> !line.isSame())
                        .map(Difference.Line::words)
                        .toList();
    }
}
