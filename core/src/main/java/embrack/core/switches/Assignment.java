package embrack.core.switches;

import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * What one switch is for.
 *
 * @param label the tape beside the switch, if it has any
 * @param steps what a press does, in order; may be empty while the plan is being made
 */
public record Assignment(SwitchAt at, Optional<TapeLabel> label, List<Step> steps) {

    /** More steps than any board can send in a press. */
    public static final int MAX_STEPS = 128;

    public Assignment {
        Objects.requireNonNull(at, "at");
        steps = List.copyOf(steps);
        if (steps.size() > MAX_STEPS) {
            throw new IllegalArgumentException("a switch has at most %d steps, was %d".formatted(MAX_STEPS, steps.size()));
        }
    }

    /** A switch without tape and steps. */
    public static Assignment blank(SwitchAt at) {
        return new Assignment(at, Optional.empty(), List.of());
    }

    /** Whether there is nothing to keep. */
    public boolean isBlank() {
        return label.isEmpty() && steps.isEmpty();
    }

    public boolean uses(DeviceId device) {
        return steps.stream().anyMatch(step -> step.device().equals(device));
    }

    public Assignment withLabel(Optional<TapeLabel> other) {
        return new Assignment(at, other, steps);
    }

    public Assignment withSteps(List<Step> others) {
        return new Assignment(at, label, others);
    }

    /** With one more step at the end. */
    public Assignment withStep(Step step) {
        List<Step> more = new ArrayList<>(steps);
        more.add(step);
        return withSteps(more);
    }
}
