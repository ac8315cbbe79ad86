package embrack.core.switches;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * How the crew of a rig likes to work.
 *
 * @param answers to the questions on which it does not follow the default, counted from 0 among those of the question
 */
public record Practices(Map<Practice, Integer> answers) {

    public static final Practices DEFAULT = new Practices(Map.of());

    public Practices {
        var copy = new EnumMap<Practice, Integer>(Practice.class);
        answers.forEach((practice, answer) -> {
            if (answer < 0 || answer >= practice.answers().size()) {
                throw new IllegalArgumentException("\"%s\" has answers 0 to %d, was %d"
                        .formatted(practice.question(), practice.answers().size() - 1, answer));
            }
            if (answer > 0) {
                copy.put(practice, answer);
            }
        });
        answers = Collections.unmodifiableMap(copy);
    }

    /** Which answer holds: 0 for the default. */
    public int answer(Practice practice) {
        return answers.getOrDefault(practice, 0);
    }

    /** The questions that are answered so, in their order; 1 for the second answer. */
    public Set<Practice> answered(int answer) {
        var with = new TreeSet<Practice>();
        answers.forEach((practice, given) -> {
            if (given == answer) {
                with.add(practice);
            }
        });
        return with;
    }

    public Practices with(Practice practice, int answer) {
        var changed = new EnumMap<Practice, Integer>(Practice.class);
        changed.putAll(answers);
        changed.put(practice, answer);
        return new Practices(changed);
    }
}
