package embrack.core.run;

import embrack.core.chart.Aspect;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.world.Lane;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What a box does by now, as far as the plan ever has it do anything.
 *
 * @param box which one
 * @param isDark whether it is off
 * @param isStarting whether it starts or loads, and obeys nothing yet
 * @param parts how its parts stand, in the order of the box; of those of which one is chosen, that one
 */
public record Doing(DeviceId box, boolean isDark, boolean isStarting, List<Stands> parts) {

    /**
     * How a part stands.
     *
     * @param place which one; of those of which one is chosen, the chosen one, or the first where none is
     * @param wrong what is wrong with it
     */
    public record Stands(Place place, int value, Optional<Wrong> wrong) {}

    public Doing {
        parts = List.copyOf(parts);
    }

    /** All boxes of a run that the plan has do anything, and those that do what they should not. */
    public static List<Doing> of(Run run) {
        Plan plan = run.night().plan();
        Map<DeviceId, SortedSet<Place>> places = new TreeMap<>(Comparator.comparingInt(
                device -> plan.rig().devices().indexOf(plan.rig().device(device))));
        run.night()
                .moved()
                .forEach(place -> places.computeIfAbsent(place.device(), d -> new TreeSet<>())
                        .add(place));
        run.wrongs()
                .forEach(wrong -> places.computeIfAbsent(wrong.place().device(), d -> new TreeSet<>())
                        .add(wrong.place()));
        List<Doing> all = new ArrayList<>();
        places.forEach((device, of) -> all.add(
                new Doing(device, run.actual().isDark(device), run.actual().isDeaf(device), stands(run, of))));
        return all;
    }

    private static List<Stands> stands(Run run, SortedSet<Place> places) {
        Map<Lane, List<Place>> lanes = new LinkedHashMap<>();
        places.forEach(place -> lanes.computeIfAbsent(
                        place.aspect() == Aspect.CHOSEN
                                ? Lane.of(run.night().plan().rig(), place)
                                : new Lane(place.device(), place.part().text(), place.aspect()),
                        lane -> new ArrayList<>())
                .add(place));
        return lanes.values().stream().map(lane -> stands(run, lane)).toList();
    }

    private static Stands stands(Run run, List<Place> lane) {
        World world = run.actual();
        Place place = chosen(run, lane.getFirst()).orElse(lane.getFirst());
        Optional<Wrong> wrong = run.wrongs().stream()
                .filter(one -> lane.contains(one.place()) || one.place().equals(place))
                .findFirst();
        return new Stands(place, world.value(place), wrong);
    }

    /** Of those of which one is chosen, the one that is, whether the plan ever chooses it or not. */
    private static Optional<Place> chosen(Run run, Place one) {
        Rig rig = run.night().plan().rig();
        return one.aspect() != Aspect.CHOSEN
                ? Optional.empty()
                : rig.implementation(one.device()).parts().stream()
                        .map(part -> new Place(one.device(), part.id(), Aspect.CHOSEN))
                        .filter(place -> run.actual().value(place) != 0
                                && Lane.of(rig, place).equals(Lane.of(rig, one)))
                        .findFirst();
    }
}
