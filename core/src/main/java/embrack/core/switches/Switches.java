package embrack.core.switches;

import embrack.core.rig.DeviceId;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** All switches and other controls that are used, sorted by where they are; one that is not listed is blank. */
public final class Switches {

    public static final Switches NONE = new Switches(List.of());

    private final Map<SwitchAt, Assignment> assignments = new LinkedHashMap<>();
    private final Map<ControlAt, ControlAssignment> controlAssignments = new LinkedHashMap<>();

    /**
     * Switches and controls.
     *
     * @param assignments at most one for a switch
     * @param controlAssignments at most one for a control
     */
    public Switches(List<Assignment> assignments, List<ControlAssignment> controlAssignments) {
        assignments.stream()
                .filter(a -> !a.isBlank())
                .sorted(Comparator.comparing(Assignment::at))
                .forEach(a -> {
                    if (this.assignments.put(a.at(), a) != null) {
                        throw new IllegalArgumentException("switch %d in bank %d of \"%s\" is there twice"
                                .formatted(a.at().number(), a.at().bank(), a.at().board()));
                    }
                });
        controlAssignments.stream()
                .filter(t -> !t.isBlank())
                .sorted(Comparator.comparing(ControlAssignment::at))
                .forEach(t -> {
                    if (this.controlAssignments.put(t.at(), t) != null) {
                        throw new IllegalArgumentException(
                                "%s of \"%s\" is there twice".formatted(t.at().words(), t.at().box()));
                    }
                });
    }

    /** Switches alone. */
    public Switches(List<Assignment> assignments) {
        this(assignments, List.of());
    }

    /** The used switches, in order. */
    public List<Assignment> assignments() {
        return List.copyOf(assignments.values());
    }

    /** The used treadles, faders and knobs, in order. */
    public List<ControlAssignment> controlAssignments() {
        return List.copyOf(controlAssignments.values());
    }

    /** What a switch is for; blank when nothing was said. */
    public Assignment at(SwitchAt at) {
        Assignment known = assignments.get(at);
        return known == null ? Assignment.blank(at) : known;
    }

    /** What a control is for; blank when nothing was said. */
    public ControlAssignment at(ControlAt at) {
        ControlAssignment known = controlAssignments.get(at);
        return known == null ? ControlAssignment.blank(at) : known;
    }

    /** The used switches of a board. */
    public List<Assignment> of(DeviceId board) {
        return assignments.values().stream()
                .filter(a -> a.at().board().equals(board))
                .toList();
    }

    /** The used controls of a box. */
    public List<ControlAssignment> travelsOf(DeviceId box) {
        return controlAssignments.values().stream()
                .filter(t -> t.at().box().equals(box))
                .toList();
    }

    /** Switches, of whatever board, with a step on a device. */
    public List<Assignment> using(DeviceId device) {
        return assignments.values().stream().filter(a -> a.uses(device)).toList();
    }

    /** Controls, of whatever box, that move a level of a device. */
    public List<ControlAssignment> moving(DeviceId device) {
        return controlAssignments.values().stream()
                .filter(t ->
                        t.targets().stream().anyMatch(target -> target.device().equals(device)))
                .toList();
    }

    /** With one switch's assignment put in the place of what it had. */
    public Switches with(Assignment assignment) {
        return new Switches(
                Stream.concat(
                                assignments.values().stream().filter(a -> !a.at().equals(assignment.at())),
                                Stream.of(assignment))
                        .toList(),
                controlAssignments());
    }

    /** With one control's use put in the place of what it had. */
    public Switches with(ControlAssignment controlAssignment) {
        return new Switches(
                assignments(),
                Stream.concat(
                                controlAssignments.values().stream()
                                        .filter(t -> !t.at().equals(controlAssignment.at())),
                                Stream.of(controlAssignment))
                        .toList());
    }

    /** Without a device: its own switches and controls, and all steps and levels on it. */
    public Switches without(DeviceId device) {
        return new Switches(
                assignments.values().stream()
                        .filter(a -> !a.at().board().equals(device))
                        .map(a -> a.without(device))
                        .toList(),
                controlAssignments.values().stream()
                        .filter(t -> !t.at().box().equals(device))
                        .map(t -> t.without(device))
                        .toList());
    }

    /** With the steps of every moment of every switch as {@code now} has them. */
    public Switches withSteps(UnaryOperator<List<Step>> now) {
        return new Switches(
                assignments.values().stream()
                        .map(assignment -> withSteps(assignment, now))
                        .toList(),
                controlAssignments());
    }

    private static Assignment withSteps(Assignment assignment, UnaryOperator<List<Step>> now) {
        Assignment changed = assignment;
        for (Moment moment : assignment.moments().keySet()) {
            changed = changed.withSteps(moment, now.apply(assignment.steps(moment)));
        }
        return changed;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Switches that
                && assignments.equals(that.assignments)
                && controlAssignments.equals(that.controlAssignments);
    }

    @Override
    public int hashCode() {
        return Objects.hash(assignments, controlAssignments);
    }

    @Override
    public String toString() {
        return "Switches[%s, %s]".formatted(assignments.values(), controlAssignments.values());
    }
}
