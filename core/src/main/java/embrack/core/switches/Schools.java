package embrack.core.switches;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/**
 * How the crew of a rig likes to work.
 *
 * @param others the questions on which it does not follow the default
 */
public record Schools(Set<School> others) {

    public static final Schools DEFAULT = new Schools(Set.of());

    public Schools {
        var copy = EnumSet.noneOf(School.class);
        copy.addAll(others);
        others = Collections.unmodifiableSet(copy);
    }

    /** Which answer holds: 0 for the default, 1 for the other. */
    public int answer(School school) {
        return others.contains(school) ? 1 : 0;
    }

    public Schools with(School school, int answer) {
        var changed = EnumSet.noneOf(School.class);
        changed.addAll(others);
        changed.remove(school);
        if (answer == 1) {
            changed.add(school);
        }
        return new Schools(changed);
    }
}
