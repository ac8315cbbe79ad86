package embrack.core.switches;

import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.stream.Stream;

/**
 * All switches that are used, sorted by where they are; a switch that is not listed is blank.
 *
 * @param assignments at most one for a switch
 */
public record Switches(List<Assignment> assignments) {

    public static final Switches NONE = new Switches(List.of());

    public Switches {
        assignments = assignments.stream().filter(a -> !a.isBlank())
                .sorted((a, b) -> a.at().compareTo(b.at())).toList();
        for (int i = 1; i < assignments.size(); i++) {
            if (assignments.get(i).at().equals(assignments.get(i - 1).at())) {
                SwitchAt at = assignments.get(i).at();
                throw new IllegalArgumentException("switch %d in bank %d of \"%s\" is there twice"
                        .formatted(at.number(), at.bank(), at.board()));
            }
        }
    }

    /** What a switch is for; blank when nothing was said. */
    public Assignment at(SwitchAt at) {
        return assignments.stream().filter(a -> a.at().equals(at)).findFirst().orElse(Assignment.blank(at));
    }

    /** The used switches of a board. */
    public List<Assignment> of(DeviceId board) {
        return assignments.stream().filter(a -> a.at().board().equals(board)).toList();
    }

    /** Switches, of whatever board, with a step on a device. */
    public List<Assignment> using(DeviceId device) {
        return assignments.stream().filter(a -> a.uses(device)).toList();
    }

    /** With one switch's assignment put in the place of what it had. */
    public Switches with(Assignment assignment) {
        return new Switches(Stream.concat(
                assignments.stream().filter(a -> !a.at().equals(assignment.at())), Stream.of(assignment)).toList());
    }

    /** Without a device: its own switches, if it is a board, and all steps on it. */
    public Switches without(DeviceId device) {
        return new Switches(assignments.stream()
                .filter(a -> !a.at().board().equals(device))
                .map(a -> a.withSteps(a.steps().stream().filter(s -> !s.device().equals(device)).toList()))
                .toList());
    }
}
