package embrack.paper.part;

import embrack.core.plan.Plan;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** What switches do, in a line. */
final class Deeds {

    private Deeds() {}

    /** All that a switch does: "Vocal mixer: mute Return 2, open Input 1; hold: Lights: blackout". */
    static String of(Plan plan, Assignment assignment) {
        List<String> moments = new ArrayList<>();
        assignment
                .moments()
                .forEach((moment, steps) ->
                        moments.add((moment == Moment.PRESS ? "" : moment.words() + ": ") + of(plan, steps)));
        return String.join("; ", moments);
    }

    /** What some steps do, those on one box together. */
    static String of(Plan plan, List<Step> steps) {
        Map<String, List<String>> boxes = new LinkedHashMap<>();
        steps.forEach(
                step -> boxes.computeIfAbsent(plan.rig().name(step.device()).text(), name -> new ArrayList<>())
                        .add(plan.deed(step)));
        return boxes.entrySet().stream()
                .map(box -> box.getKey() + ": " + String.join(", ", box.getValue()))
                .collect(Collectors.joining("; "));
    }
}
