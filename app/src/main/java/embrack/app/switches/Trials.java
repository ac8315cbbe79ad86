package embrack.app.switches;

import embrack.app.store.Memo;
import embrack.app.store.RigId;
import embrack.app.store.StoredRig;
import embrack.app.store.Trial;
import embrack.core.light.Direct;
import embrack.core.light.Pace;
import embrack.core.live.DeskLight;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.sim.Rehearsal;
import embrack.core.sim.Tread;
import embrack.core.world.Engine;
import embrack.core.world.Outcome;
import embrack.core.world.World;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Plays what is tried through the engine, and remembers how far each trial had come, so that a tread costs itself. */
@Component
class Trials {

    private static final int REMEMBERED = 200;

    private final Memo<Key, Tried> played = Memo.ofCount(REMEMBERED);

    private record Key(RigId rig, int revision, boolean muted, List<Tread> treads) {

        Key before() {
            return new Key(rig, revision, muted, treads.subList(0, treads.size() - 1));
        }
    }

    /** A trial on the newest plan of its rig; what is no longer on any board is passed over. */
    Tried play(StoredRig rig, Trial trial) {
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
                        new Engine(rig.plan())
                                .standing(play(rig, trial).rehearsal().state(), foot.at()))
                : tread;
    }

    private Tried play(Plan plan, Key key) {
        Engine engine = new Engine(plan);
        Optional<Tried> known = key.treads.isEmpty() ? Optional.empty() : played.find(key.before());
        Tried now = known.orElseGet(() -> Tried.begun(plan, start(plan, key.muted)));
        for (Tread tread : key.treads.subList(now.rehearsal().treads(), key.treads.size())) {
            now = now.then(engine, tread);
        }
        return now;
    }

    /**
     * What was tried so far.
     *
     * @param lights what each desk shows that holds looks
     */
    record Tried(Rehearsal rehearsal, List<DeskLight> lights) {

        private static Tried begun(Plan plan, World start) {
            return new Tried(
                    Rehearsal.begun(start),
                    plan.rig().devices().stream()
                            .map(Device::id)
                            .filter(desk ->
                                    Direct.isLit(plan.lights(), desk, plan.rig().chart(desk)))
                            .map(desk -> DeskLight.dark(plan, desk))
                            .toList());
        }

        private Tried then(Engine engine, Tread tread) {
            Rehearsal next = rehearsal.then(engine, tread);
            Outcome done = next.last().getLast().outcome();
            return new Tried(
                    next,
                    lights.stream()
                            .map(light -> light.after(
                                    rehearsal.state(), done, done.after().clockMicros(), Pace.ANY_TEMPO))
                            .toList());
        }
    }

    private static World start(Plan plan, boolean muted) {
        return muted ? World.opposite(plan.rig()) : World.poweredOn(plan.rig());
    }
}
