package embrack.core.show;

import embrack.core.midi.Message;
import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;

/**
 * One moment of a song: what the player sends by itself, or what a foot is meant to press.
 *
 * @param number within its song, 1 or more; never given twice
 * @param name its tape, if it has any
 * @param steps what happens, in order
 * @param raw messages that are sent as they are, since no chart explains them
 * @param foot the switch that somebody presses then; such a cue has no steps
 * @param early whether it is sent ahead by what its way usually takes
 * @param leavesOff what toggling steps are meant to leave: off, or, as usual, on
 */
public record Cue(
        int number,
        Optional<TapeLabel> name,
        Anchor at,
        List<Step> steps,
        List<Message> raw,
        Optional<SwitchAt> foot,
        boolean early,
        boolean leavesOff) {

    /** More steps than anybody reads in one cue. */
    public static final int MAX_STEPS = 64;

    public Cue {
        steps = List.copyOf(steps);
        raw = List.copyOf(raw);
        if (number < 1) {
            throw new IllegalArgumentException("Cues are counted from 1, was %d.".formatted(number));
        }
        if (steps.size() + raw.size() > MAX_STEPS) {
            throw new IllegalArgumentException("A cue has at most %d steps.".formatted(MAX_STEPS));
        }
        if (foot.isPresent() && !(steps.isEmpty() && raw.isEmpty())) {
            throw new IllegalArgumentException("A cue is sent by the player or pressed by a foot, not both.");
        }
    }

    /** A cue that the player sends. */
    public Cue(int number, Anchor at, List<Step> steps) {
        this(number, Optional.empty(), at, steps, List.of(), Optional.empty(), false, false);
    }

    /** A cue that a foot presses. */
    public static Cue pressed(int number, Anchor at, SwitchAt foot) {
        return new Cue(number, Optional.empty(), at, List.of(), List.of(), Optional.of(foot), false, false);
    }

    public boolean uses(DeviceId device) {
        return foot.filter(at -> at.board().equals(device)).isPresent()
                || steps.stream().anyMatch(step -> step.device().equals(device));
    }

    /** How many steps and messages it has. */
    public int deeds() {
        return steps.size() + raw.size();
    }

    /** Whether there is nothing left of it. */
    public boolean isEmpty() {
        return steps.isEmpty() && raw.isEmpty() && foot.isEmpty();
    }

    public Cue withNumber(int other) {
        return new Cue(other, name, at, steps, raw, foot, early, leavesOff);
    }

    public Cue withName(Optional<TapeLabel> other) {
        return new Cue(number, other, at, steps, raw, foot, early, leavesOff);
    }

    public Cue withAnchor(Anchor other) {
        return new Cue(number, name, other, steps, raw, foot, early, leavesOff);
    }

    public Cue withSteps(List<Step> others) {
        return new Cue(number, name, at, others, raw, foot, early, leavesOff);
    }

    public Cue withRaw(List<Message> others) {
        return new Cue(number, name, at, steps, others, foot, early, leavesOff);
    }

    public Cue withEarly(boolean other) {
        return new Cue(number, name, at, steps, raw, foot, other, leavesOff);
    }

    public Cue leavingOff(boolean other) {
        return new Cue(number, name, at, steps, raw, foot, early, other);
    }

    /** The same, pressed on another switch, or by nobody. */
    Cue withFoot(Optional<SwitchAt> other) {
        return new Cue(number, name, at, steps, raw, other, early, leavesOff);
    }

    /** Without any step on a device; pressed by nobody when the board is gone. */
    public Cue without(DeviceId device) {
        return new Cue(
                number,
                name,
                at,
                steps.stream().filter(step -> !step.device().equals(device)).toList(),
                raw,
                foot.filter(switchAt -> !switchAt.board().equals(device)),
                early,
                leavesOff);
    }
}
