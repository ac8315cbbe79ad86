package embrack.core.sim;

import embrack.core.compile.CompiledControl;
import embrack.core.switches.ControlAt;
import embrack.core.world.Happened;
import embrack.core.world.Place;
import java.util.Collections;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What the proof found out about one treadle, fader or knob, moved from end to end and back.
 *
 * @param compiled what it sends
 * @param verdict the judgement
 * @param targets the levels that it is about
 * @param wrongPlaces every place that was ever wrong
 * @param trials the movement from power-on and from the opposite; the numbers of the presses are positions, 0 to 127
 * @param trace what one message of each level does
 */
public record ControlProof(
        CompiledControl compiled,
        Verdict verdict,
        SortedSet<Place> targets,
        SortedSet<Place> wrongPlaces,
        List<Trial> trials,
        List<Happened> trace) {

    public ControlProof {
        targets = Collections.unmodifiableSortedSet(new TreeSet<>(targets));
        wrongPlaces = Collections.unmodifiableSortedSet(new TreeSet<>(wrongPlaces));
        trials = List.copyOf(trials);
        trace = List.copyOf(trace);
    }

    public ControlAt at() {
        return compiled.controlAssignment().at();
    }
}
