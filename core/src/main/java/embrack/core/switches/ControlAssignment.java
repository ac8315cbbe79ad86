package embrack.core.switches;

import embrack.core.level.Takeover;
import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What one treadle, fader or knob is for.
 *
 * @param label the tape beside it, if it has any
 * @param takeover what the receivers do when it stands elsewhere than their value
 * @param targets the levels it moves, in order of sending
 */
public record ControlAssignment(ControlAt at, Optional<TapeLabel> label, Takeover takeover, List<Target> targets) {

    /** More than any box sends for one movement. */
    public static final int MAX_TARGETS = 16;

    public ControlAssignment {
        targets = List.copyOf(targets);
        if (targets.size() > MAX_TARGETS) {
            throw new IllegalArgumentException(
                    "a control moves at most %d levels, was %d".formatted(MAX_TARGETS, targets.size()));
        }
        if (targets.stream()
                        .map(target -> List.of(target.device(), target.part()))
                        .distinct()
                        .count()
                < targets.size()) {
            throw new IllegalArgumentException("a control moves each level once");
        }
    }

    /** A control without tape that moves nothing. */
    public static ControlAssignment blank(ControlAt at) {
        return new ControlAssignment(at, Optional.empty(), Takeover.SCALED, List.of());
    }

    /** Whether there is nothing to keep. */
    public boolean isBlank() {
        return label.isEmpty() && targets.isEmpty();
    }

    public ControlAssignment withLabel(Optional<TapeLabel> other) {
        return new ControlAssignment(at, other, takeover, targets);
    }

    /** The same on another control. */
    public ControlAssignment movedTo(ControlAt other) {
        return new ControlAssignment(other, label, takeover, targets);
    }

    public ControlAssignment withTakeover(Takeover other) {
        return new ControlAssignment(at, label, other, targets);
    }

    public ControlAssignment withTargets(List<Target> others) {
        return new ControlAssignment(at, label, takeover, others);
    }

    public ControlAssignment withTarget(Target target) {
        List<Target> more = new ArrayList<>(targets);
        more.add(target);
        return withTargets(more);
    }

    /** Without the levels of a device. */
    public ControlAssignment without(DeviceId device) {
        return withTargets(targets.stream()
                .filter(target -> !target.device().equals(device))
                .toList());
    }
}
