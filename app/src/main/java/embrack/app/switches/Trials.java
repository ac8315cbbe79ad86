package embrack.app.switches;

import embrack.app.store.Memo;
import embrack.app.store.RigId;
import embrack.app.store.StoredRig;
import embrack.app.store.Trial;
import embrack.core.plan.Plan;
import embrack.core.sim.Rehearsal;
import embrack.core.sim.Tread;
import embrack.core.world.Engine;
import embrack.core.world.World;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Plays what is tried through the engine, and remembers how far each trial had come, so that a tread costs itself. */
@Component
class Trials {

    private static final int REMEMBERED = 200;

    private final Memo<Key, Rehearsal> played = Memo.ofCount(REMEMBERED);

    private record Key(RigId rig, int revision, boolean muted, List<Tread> treads) {

        Key before() {
            return new Key(rig, revision, muted, treads.subList(0, treads.size() - 1));
        }
    }

    /** A trial on the newest plan of its rig; what is no longer on any board is passed over. */
    Rehearsal play(StoredRig rig, Trial trial) {
        Plan plan = rig.plan();
        List<Tread> treads =
                trial.treads().stream().filter(tread -> tread.isPossible(plan)).toList();
        Key key = new Key(rig.id(), rig.revision(), trial.muted(), treads);
        return played.get(key, () -> play(plan, key));
    }

    /** What a foot on a switch does that was seen on a page: a board that counts is pressed where it stands by now. */
    Tread asItStands(StoredRig rig, Trial trial, Tread tread) {
        return tread instanceof Tread.OnSwitch foot
                ? new Tread.OnSwitch(
                        foot.foot(),
                        new Engine(rig.plan()).standing(play(rig, trial).state(), foot.at()))
                : tread;
    }

    private Rehearsal play(Plan plan, Key key) {
        Engine engine = new Engine(plan);
        Optional<Rehearsal> known = key.treads.isEmpty() ? Optional.empty() : played.find(key.before());
        Rehearsal now = known.orElseGet(() -> Rehearsal.begun(start(plan, key.muted)));
        for (Tread tread : key.treads.subList(now.treads(), key.treads.size())) {
            now = now.then(engine, tread);
        }
        return now;
    }

    private static World start(Plan plan, boolean muted) {
        return muted ? World.opposite(plan.rig()) : World.poweredOn(plan.rig());
    }
}
