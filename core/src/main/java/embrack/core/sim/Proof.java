package embrack.core.sim;

import embrack.core.plan.CompiledSwitch;
import embrack.core.switches.SwitchAt;
import java.util.Collections;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What the proof found out about one switch.
 *
 * @param compiled what the switch sends
 * @param verdict the judgement
 * @param targets the places that its steps are about
 * @param wrongPlaces every place that was ever wrong
 * @param trials the presses it rests on: from power-on, and from the opposite of it
 * @param trace what one press does, message by message
 * @param worstMicros when the last message of a press has arrived, microseconds after the press
 */
public record Proof(CompiledSwitch compiled, Verdict verdict, SortedSet<Place> targets, SortedSet<Place> wrongPlaces, List<Trial> trials,
        List<Event> trace, long worstMicros) {

    public Proof {
        targets = Collections.unmodifiableSortedSet(new TreeSet<>(targets));
        wrongPlaces = Collections.unmodifiableSortedSet(new TreeSet<>(wrongPlaces));
        trials = List.copyOf(trials);
        trace = List.copyOf(trace);
    }

    public SwitchAt at() {
        return compiled.at();
    }

    /** The trial that shows best what is wrong: the one with the most differences, the first of equals. */
    public Trial tellingTrial() {
        return trials.stream().reduce((a, b) -> wrongness(b) > wrongness(a) ? b : a).orElseThrow();
    }

    private static int wrongness(Trial trial) {
        return trial.presses().stream().mapToInt(press -> press.differences().size()).sum();
    }
}
