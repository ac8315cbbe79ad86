package embrack.core.sim;

import embrack.core.plan.Plan;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Presses of switches, one after the other.
 *
 * @param start the state before the first press
 * @param played each press with what came of it; times count from its own moment
 */
public record Rehearsal(RigState start, List<Played> played) {

    /** One press of the rehearsal. */
    public record Played(SwitchAt at, Pressed pressed) {}

    public Rehearsal {
        played = List.copyOf(played);
    }

    /** Plays presses through, in their order. */
    public static Rehearsal of(Plan plan, RigState start, List<SwitchAt> presses) {
        Simulator simulator = new Simulator(plan);
        RigState state = start;
        List<Played> played = new ArrayList<>();
        Map<SwitchAt, Integer> times = new HashMap<>();
        for (SwitchAt at : presses) {
            Pressed pressed = simulator.tap(state, at, times.merge(at, 1, Integer::sum));
            state = pressed.after();
            played.add(new Played(at, pressed));
        }
        return new Rehearsal(start, played);
    }

    /** The state now. */
    public RigState state() {
        return played.isEmpty() ? start : played.getLast().pressed().after();
    }

    /** The state before the last press. */
    public RigState stateBeforeLast() {
        return played.size() < 2
                ? start
                : played.get(played.size() - 2).pressed().after();
    }
}
