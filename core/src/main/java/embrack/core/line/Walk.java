package embrack.core.line;

import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.plan.Plan;
import embrack.core.rig.Area;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * All that is pressed while a rig is checked, so that nobody walks twice: by place, then box, bank and switch.
 *
 * @param stops what is planned for each, in that order; what sends nothing yet is left out
 */
public record Walk(Plan plan, List<Planned> stops) {

    public Walk {
        stops = List.copyOf(stops);
    }

    /** The walk through a plan. */
    public static Walk of(Plan plan) {
        List<DeviceId> boxes = plan.rig().devices().stream()
                .map(device -> device.id())
                .sorted(Comparator.comparing((DeviceId box) -> area(plan, box)))
                .toList();
        Compiler compiler = new Compiler(plan);
        List<Planned> stops = new ArrayList<>();
        for (DeviceId box : boxes) {
            for (Assignment assignment : plan.switches().of(box)) {
                CompiledSwitch what = compiler.compile(assignment);
                Stream.of(Moment.PRESS, Moment.HOLD, Moment.DOUBLE_PRESS)
                        .flatMap(how -> Planned.of(what, how, plan.board(assignment.at())).stream())
                        .forEach(stops::add);
            }
        }
        return new Walk(plan, stops);
    }

    private static Area area(Plan plan, DeviceId box) {
        return plan.rig().area(box);
    }

    /** The boxes that are walked to, in order. */
    public List<DeviceId> boxes() {
        return stops.stream().map(planned -> planned.task().box()).distinct().toList();
    }

    /** What is pressed on a box. */
    public List<Planned> on(DeviceId box) {
        return stops.stream()
                .filter(planned -> planned.task().box().equals(box))
                .toList();
    }

    /** What is planned for a task; empty when it is no longer there. */
    public Optional<Planned> find(Task task) {
        return stops.stream().filter(planned -> planned.task().equals(task)).findFirst();
    }

    /** What is planned for a task of this walk. */
    public Planned planned(Task task) {
        return find(task).orElseThrow(() -> new IllegalArgumentException("no " + task.key() + " in this walk"));
    }
}
