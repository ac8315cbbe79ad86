package embrack.core.sim;

import embrack.core.chart.Action;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Cue;
import embrack.core.switches.Step;
import embrack.core.world.Place;
import embrack.core.world.Places;
import embrack.core.world.World;
import java.util.Collection;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;

/** What steps are meant to bring about, on their devices and on those that stand in for them. */
public final class Meant {

    private final Rig rig;
    private final Places places;

    /**
     * For a rig.
     *
     * @param places those of the worlds to which the moves are done
     */
    public Meant(Rig rig, Places places) {
        this.rig = rig;
        this.places = places;
    }

    /** The moves that steps are meant to make, in order. */
    public List<Places.Move> moves(Collection<Step> steps) {
        return steps.stream()
                .flatMap(step ->
                        each(step).flatMap(device -> places.moves(device, List.<Action>of(step.action())).stream()))
                .toList();
    }

    /** The places that steps are about. */
    public SortedSet<Place> targets(Collection<Step> steps) {
        SortedSet<Place> targets = new TreeSet<>();
        steps.forEach(step -> each(step).forEach(device -> targets.add(World.place(device, step.action()))));
        return targets;
    }

    /** A step is meant for its device and for the one that stands in for it. */
    private Stream<DeviceId> each(Step step) {
        return Stream.concat(Stream.of(step.device()), rig.standIn(step.device()).stream());
    }

    /** The steps of a cue; what turns round is meant to leave what the cue says. */
    public static List<Step> steps(Cue cue) {
        return settled(cue.steps(), cue.leavesOff());
    }

    static List<Step> settled(List<Step> steps, boolean leavesOff) {
        return steps.stream()
                .map(step -> step.action().verb().turnsRound()
                        ? new Step(
                                step.device(),
                                new Action(
                                        step.action().verb().settled(leavesOff),
                                        step.action().part()))
                        : step)
                .toList();
    }
}
