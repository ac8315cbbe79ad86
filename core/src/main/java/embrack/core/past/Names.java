package embrack.core.past;

import embrack.core.plan.Plan;
import java.util.LinkedHashMap;
import java.util.Map;

/** Things by what they are called, so that people can speak of them. */
public final class Names {

    private Names() {}

    /** The things of a plan by their names, in its order; of two that are called alike the first. */
    public static Map<String, Thing> of(Plan plan) {
        var words = new InWords(plan);
        Map<String, Thing> names = new LinkedHashMap<>();
        Things.of(plan).all().forEach(thing -> names.putIfAbsent(words.name(thing), thing));
        return names;
    }
}
