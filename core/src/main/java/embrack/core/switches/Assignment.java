package embrack.core.switches;

import embrack.core.gear.SwitchMode;
import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What one switch is for.
 *
 * @param label the tape beside the switch, if it has any
 * @param shortLabel what the box's own display says, where that is not made from the tape
 * @param duty what it is for in the show as a whole, if anything
 * @param mode what the switch sends as it goes down and up; empty for the plainest that its board has
 * @param moments what it does when, in order; no moment without steps; none at all while the plan is being made
 */
public record Assignment(
        SwitchAt at,
        Optional<TapeLabel> label,
        Optional<TapeLabel> shortLabel,
        Optional<Duty> duty,
        Optional<SwitchMode> mode,
        SortedMap<Moment, List<Step>> moments) {

    /** More steps than any board can send in a press. */
    public static final int MAX_STEPS = 128;

    public Assignment {
        Objects.requireNonNull(at, "at");
        SortedMap<Moment, List<Step>> kept = new TreeMap<>();
        moments.forEach((moment, steps) -> {
            if (steps.size() > MAX_STEPS) {
                throw new IllegalArgumentException(
                        "a switch has at most %d steps, was %d".formatted(MAX_STEPS, steps.size()));
            }
            if (!steps.isEmpty()) {
                kept.put(moment, List.copyOf(steps));
            }
        });
        moments = Collections.unmodifiableSortedMap(kept);
    }

    /** A switch that does something when it is pressed, and nothing else. */
    public Assignment(SwitchAt at, Optional<TapeLabel> label, List<Step> steps) {
        this(
                at,
                label,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                new TreeMap<>(Map.of(Moment.PRESS, steps)));
    }

    /** A switch without tape and steps. */
    public static Assignment blank(SwitchAt at) {
        return new Assignment(at, Optional.empty(), List.of());
    }

    /** Whether there is nothing to keep. */
    public boolean isBlank() {
        return label.isEmpty() && shortLabel.isEmpty() && duty.isEmpty() && mode.isEmpty() && moments.isEmpty();
    }

    /** What it does at a moment, in order. */
    public List<Step> steps(Moment moment) {
        return moments.getOrDefault(moment, List.of());
    }

    /** All that it ever does, moment by moment. */
    public List<Step> steps() {
        return moments.values().stream().flatMap(List::stream).toList();
    }

    public boolean uses(DeviceId device) {
        return steps().stream().anyMatch(step -> step.device().equals(device));
    }

    /** Whether it is about one of the duties. */
    public boolean isFor(Duty wanted) {
        return duty.filter(wanted::equals).isPresent();
    }

    public Assignment withLabel(Optional<TapeLabel> other) {
        return new Assignment(at, other, shortLabel, duty, mode, moments);
    }

    public Assignment withShortLabel(Optional<TapeLabel> other) {
        return new Assignment(at, label, other, duty, mode, moments);
    }

    public Assignment withDuty(Optional<Duty> other) {
        return new Assignment(at, label, shortLabel, other, mode, moments);
    }

    public Assignment withMode(Optional<SwitchMode> other) {
        return new Assignment(at, label, shortLabel, duty, other, moments);
    }

    /** The same on another switch. */
    public Assignment movedTo(SwitchAt other) {
        return new Assignment(other, label, shortLabel, duty, mode, moments);
    }

    public Assignment withSteps(Moment moment, List<Step> others) {
        Map<Moment, List<Step>> changed = new EnumMap<>(Moment.class);
        changed.putAll(moments);
        changed.put(moment, others);
        return new Assignment(at, label, shortLabel, duty, mode, new TreeMap<>(changed));
    }

    /** With one more step at the end. */
    public Assignment withStep(Moment moment, Step step) {
        List<Step> more = new ArrayList<>(steps(moment));
        more.add(step);
        return withSteps(moment, more);
    }

    /** Without any step on a device. */
    public Assignment without(DeviceId device) {
        Assignment left = this;
        for (Moment moment : moments.keySet()) {
            left = left.withSteps(
                    moment,
                    steps(moment).stream()
                            .filter(step -> !step.device().equals(device))
                            .toList());
        }
        return left;
    }

    /** By the switch: a plan has one assignment for each, and this is asked for often. */
    @Override
    public int hashCode() {
        return at.hashCode();
    }
}
