package embrack.core.sim;

import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.world.Engine;
import embrack.core.world.Happened;
import embrack.core.world.World;
import java.util.List;

/**
 * A story in which a gesture fails, played through the engine.
 *
 * @param before how the rig stood before the gesture that fails
 * @param last all that happens by it
 */
record Retold(World before, List<Happened> last) {

    Retold {
        last = List.copyOf(last);
    }

    /** Plays a story. */
    static Retold of(Plan plan, Engine engine, Broken broken) {
        Rehearsal rehearsal = Rehearsal.begun(World.poweredOn(plan.rig()));
        Rehearsal before = rehearsal;
        for (List<Tread> treads : Tread.of(plan, broken)) {
            before = rehearsal;
            for (Tread tread : treads) {
                rehearsal = rehearsal.then(engine, tread);
            }
        }
        int from = before.treads();
        return new Retold(
                before.state(),
                rehearsal.last().stream()
                        .filter(played -> played.number() > from)
                        .flatMap(played -> played.outcome().trace().stream())
                        .toList());
    }
}
