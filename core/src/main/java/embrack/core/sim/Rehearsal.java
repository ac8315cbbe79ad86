package embrack.core.sim;

import embrack.core.plan.Plan;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Outcome;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.List;

/**
 * Presses of switches, one after the other.
 *
 * @param start the state before the first press
 * @param played each press with what came of it; times count from its own moment
 */
public record Rehearsal(World start, List<Played> played) {

    /** One press of the rehearsal. */
    public record Played(SwitchAt at, Outcome pressed) {}

    public Rehearsal {
        played = List.copyOf(played);
    }

    /** Plays presses through, in their order. */
    public static Rehearsal of(Plan plan, World start, List<SwitchAt> presses) {
        Engine engine = new Engine(plan);
        World state = start;
        List<Played> played = new ArrayList<>();
        for (SwitchAt at : presses) {
            Outcome pressed = engine.tap(state, at);
            state = pressed.after();
            played.add(new Played(at, pressed));
        }
        return new Rehearsal(start, played);
    }

    /** The state now. */
    public World state() {
        return played.isEmpty() ? start : played.getLast().pressed().after();
    }

    /** The state before the last press. */
    public World stateBeforeLast() {
        return played.size() < 2
                ? start
                : played.get(played.size() - 2).pressed().after();
    }
}
