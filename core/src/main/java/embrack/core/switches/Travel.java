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
public record Travel(ControlAt at, Optional<TapeLabel> label, Takeover takeover, List<Target> targets) {

    /** More than any box sends for one movement. */
    public static final int MAX_TARGETS = 16;

    public Travel {
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
    public static Travel blank(ControlAt at) {
        return new Travel(at, Optional.empty(), Takeover.SCALED, List.of());
    }

    /** Whether there is nothing to keep. */
    public boolean isBlank() {
        return label.isEmpty() && targets.isEmpty();
    }

    public Travel withLabel(Optional<TapeLabel> other) {
        return new Travel(at, other, takeover, targets);
    }

    public Travel withTakeover(Takeover other) {
        return new Travel(at, label, other, targets);
    }

    public Travel withTargets(List<Target> others) {
        return new Travel(at, label, takeover, others);
    }

    public Travel withTarget(Target target) {
        List<Target> more = new ArrayList<>(targets);
        more.add(target);
        return withTargets(more);
    }

    /** Without the levels of a device. */
    public Travel without(DeviceId device) {
        return withTargets(targets.stream()
                .filter(target -> !target.device().equals(device))
                .toList());
    }
}
