package embrack.core.switches;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/**
 * How the crew of a rig likes to work.
 *
 * @param others the questions on which it does not follow the default
 */
public record Practices(Set<Practice> others) {

    public static final Practices DEFAULT = new Practices(Set.of());

    public Practices {
        var copy = EnumSet.noneOf(Practice.class);
        copy.addAll(others);
        others = Collections.unmodifiableSet(copy);
    }

    /** Which answer holds: 0 for the default, 1 for the other. */
    public int answer(Practice practice) {
        return others.contains(practice) ? 1 : 0;
    }

    public Practices with(Practice practice, int answer) {
        var changed = EnumSet.noneOf(Practice.class);
        changed.addAll(others);
        changed.remove(practice);
        if (answer == 1) {
            changed.add(practice);
        }
        return new Practices(changed);
    }
}
