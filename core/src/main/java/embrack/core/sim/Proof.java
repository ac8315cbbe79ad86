package embrack.core.sim;

import embrack.core.compile.CompiledStep;
import embrack.core.compile.CompiledSwitch;
import embrack.core.proof.Broken;
import embrack.core.proof.Seen;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Happened;
import embrack.core.world.Place;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What the proof found out about one gesture on one switch.
 *
 * @param compiled what the switch sends
 * @param moment the gesture: a press with its release, a hold, or a double press
 * @param verdict the judgement
 * @param targets the places that its steps are about
 * @param wrongPlaces every place that was ever wrong
 * @param seen what it does at each place, in every state that the rig can reach
 * @param trace what the gesture does once, message by message
 * @param cameRoundAt the first box to which a message came round, so that nobody knows what it leaves
 * @param last of its moments the one that takes longest, and how long
 */
public record Proof(
        CompiledSwitch compiled,
        Moment moment,
        Verdict verdict,
        SortedSet<Place> targets,
        SortedSet<Place> wrongPlaces,
        List<Seen> seen,
        List<Happened> trace,
        Optional<DeviceId> cameRoundAt,
        Arrival last) {

    /**
     * When all that a moment sends has been done.
     *
     * @param moment a press, its second press, its release, a hold, a double press
     * @param worstMicros after it, at worst
     */
    public record Arrival(Moment moment, long worstMicros) {

        /** How much of that is not meant: all but the waits that the steps ask for. */
        long lateness(CompiledSwitch compiled) {
            return worstMicros - compiled.waitMillis(moment) * 1_000L;
        }

        boolean isLate(CompiledSwitch compiled) {
            return lateness(compiled) > Prover.LATEST_MICROS;
        }
    }

    /** The moments that a press has in it. */
    private static final List<Moment> OF_A_PRESS = List.of(Moment.PRESS, Moment.AGAIN, Moment.RELEASE);

    public Proof {
        targets = Collections.unmodifiableSortedSet(new TreeSet<>(targets));
        wrongPlaces = Collections.unmodifiableSortedSet(new TreeSet<>(wrongPlaces));
        seen = List.copyOf(seen);
        trace = List.copyOf(trace);
    }

    /** When the last message of the gesture has arrived, microseconds after the moment that takes longest. */
    public long worstMicros() {
        return last.worstMicros();
    }

    public SwitchAt at() {
        return compiled.at();
    }

    /** The moments that a gesture has in it. */
    public static List<Moment> moments(Moment gesture) {
        return gesture == Moment.PRESS ? OF_A_PRESS : List.of(gesture);
    }

    /** The steps that the gesture does. */
    public List<CompiledStep> steps() {
        return moments(moment).stream().flatMap(m -> compiled.steps(m).stream()).toList();
    }

    /** How many messages it sends. */
    public int messages() {
        return moments(moment).stream()
                .mapToInt(m -> compiled.sendings(m).size())
                .sum();
    }

    /** The shortest story in which it fails, the first of equals; empty when there is none. */
    public Optional<Broken> broken() {
        return seen.stream().flatMap(s -> s.broken().stream()).reduce((a, b) -> b.length() < a.length() ? b : a);
    }

    /** How many states were looked at that decide about it. */
    public int states() {
        return seen.stream().mapToInt(Seen::states).max().orElse(1);
    }

    /** What it does to one box; empty when it is not about it and changes nothing there. */
    public Optional<Verdict> on(DeviceId device) {
        List<Seen> there =
                seen.stream().filter(s -> s.place().device().equals(device)).toList();
        SortedSet<Place> meant = there(targets, device);
        if (there.isEmpty() && meant.isEmpty()) {
            return Optional.empty();
        }
        boolean isStopped = moments(moment).stream()
                .flatMap(m -> compiled.steps(m).stream())
                .anyMatch(step ->
                        step.obstacle().isPresent() && step.step().device().equals(device));
        return Optional.of(
                isStopped
                        ? Verdict.NO_WAY
                        : Judge.verdict(meant, there(wrongPlaces, device), there, verdict == Verdict.LATE));
    }

    private static SortedSet<Place> there(SortedSet<Place> places, DeviceId device) {
        SortedSet<Place> there = new TreeSet<>(places);
        there.removeIf(place -> !place.device().equals(device));
        return there;
    }
}
