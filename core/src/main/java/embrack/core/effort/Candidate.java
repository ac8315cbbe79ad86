package embrack.core.effort;

import embrack.core.compile.CompiledStep;
import embrack.core.compile.Compiler;
import embrack.core.edit.Edit;
import embrack.core.edit.Refused;
import embrack.core.gear.Model;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Target;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Something that could do the job of a box that died.
 *
 * @param board a board of the rig, which does its own job too; empty for other hardware
 * @param model other hardware; empty for a board of the rig
 * @param does how much of the job would have room, a message and a way: switches and controls of a board, steps on a
 *     receiver
 * @param of how much that is in all
 */
public record Candidate(Optional<DeviceId> board, Optional<Model> model, int does, int of) {

    /**
     * All that could do anything of it, best first; of equal ones the same hardware, then boards of the rig, then other
     * hardware that has to be fetched. A board can be stood in for by anything with switches, a receiver by its own
     * kind.
     *
     * @param shelf the hardware that there is
     */
    public static List<Candidate> of(Plan plan, DeviceId dead, List<Model> shelf) {
        List<Candidate> all = new ArrayList<>();
        boolean isBoard = plan.boards().contains(dead);
        plan.boards().stream()
                .filter(board -> isBoard && !board.equals(dead))
                .forEach(board -> done(plan, Swap.edit(dead, board), dead, board)
                        .ifPresent(does -> all.add(
                                new Candidate(Optional.of(board), Optional.empty(), does, wanted(plan, dead)))));
        shelf.stream()
                .filter(model -> isBoard
                        ? !model.surface().pressed().isEmpty()
                        : model.kind() == plan.rig().model(dead).kind())
                .forEach(model -> done(plan, Swap.edit(dead, model), dead, dead)
                        .ifPresent(does -> all.add(
                                new Candidate(Optional.empty(), Optional.of(model), does, wanted(plan, dead)))));
        all.removeIf(candidate -> candidate.does() == 0 && candidate.of() > 0);
        all.sort(Comparator.comparingInt(Candidate::does)
                .reversed()
                .thenComparing(candidate ->
                        candidate.model().filter(plan.rig().model(dead)::equals).isEmpty())
                .thenComparing(candidate -> candidate.board().isEmpty()));
        return all;
    }

    private static int wanted(Plan plan, DeviceId dead) {
        return plan.boards().contains(dead)
                ? plan.switches().of(dead).size() + moved(plan, dead).size()
                : (int) steps(plan, dead).count();
    }

    private static Optional<Integer> done(Plan plan, Edit edit, DeviceId dead, DeviceId now) {
        try {
            Plan after = edit.apply(plan);
            var compiler = new Compiler(after);
            if (!plan.boards().contains(dead)) {
                return Optional.of((int) steps(after, now)
                        .filter(step -> step.obstacle().isEmpty())
                        .count());
            }
            List<Assignment> own =
                    now.equals(dead) ? List.of() : plan.switches().of(now);
            long switches = after.switches().of(now).stream()
                    .filter(assignment -> !own.contains(assignment))
                    .filter(assignment -> compiler.compile(assignment).allSteps().stream()
                            .allMatch(step -> step.obstacle().isEmpty()))
                    .count();
            List<List<Target>> still = moved(after, now);
            long controls = moved(plan, dead).stream().filter(still::contains).count();
            return Optional.of((int) (switches + controls));
        } catch (Refused refused) {
            return Optional.empty();
        }
    }

    /** What the pedals, faders and knobs of a box move. */
    private static List<List<Target>> moved(Plan plan, DeviceId box) {
        return plan.switches().travelsOf(box).stream()
                .map(ControlAssignment::targets)
                .filter(targets -> !targets.isEmpty())
                .toList();
    }

    private static Stream<CompiledStep> steps(Plan plan, DeviceId receiver) {
        return new Compiler(plan)
                .all().stream()
                        .flatMap(compiled -> compiled.allSteps().stream())
                        .filter(step -> step.step().device().equals(receiver));
    }

    /** What stands for it in addresses: the id of the model, or {@code box:} and the id of the board. */
    public String key() {
        return board.map(id -> "box:" + id)
                .or(() -> model.map(m -> m.id().text()))
                .orElseThrow();
    }

    /** What it is called. */
    public String words(Plan plan) {
        return board.flatMap(plan.rig()::find)
                .map(Device::name)
                .map(name -> name + ", of this rig")
                .or(() -> model.map(m -> m.name().text()))
                .orElseThrow();
    }
}
