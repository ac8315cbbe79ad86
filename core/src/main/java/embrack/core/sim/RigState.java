package embrack.core.sim;

import embrack.core.gear.Action;
import embrack.core.gear.Aspect;
import embrack.core.gear.PartId;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.ToIntFunction;

/** The state of every part of every device at one moment. */
public record RigState(SortedMap<Place, Integer> values) {

    public RigState {
        values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
    }

    /** The rig just switched on: every aspect at its first value, so all strips open. */
    public static RigState poweredOn(Rig rig) {
        return of(rig, aspect -> 0);
    }

    /** The rig with every aspect at its last value, so all strips muted: the other end from {@link #poweredOn}. */
    public static RigState opposite(Rig rig) {
        return of(rig, aspect -> aspect.size() - 1);
    }

    /** The state after actions on one device, in their order. */
    public RigState after(DeviceId device, List<Action> actions) {
        Map<Place, Integer> changed = new TreeMap<>(values);
        for (Action action : actions) {
            Place place = place(device, action);
            changed.put(place, action.verb().applyTo(changed.getOrDefault(place, 0)));
        }
        return new RigState(new TreeMap<>(changed));
    }

    /** The value at a place; 0 for a part that the hardware does not have. */
    public int value(Place place) {
        return values.getOrDefault(place, 0);
    }

    /** The value of one aspect of one part, in a word: "muted". */
    public String word(DeviceId device, PartId part, Aspect aspect) {
        return aspect.word(value(new Place(device, part, aspect)));
    }

    /** The places where two states differ. */
    public SortedSet<Place> differences(RigState other) {
        SortedSet<Place> places = new TreeSet<>(values.keySet());
        places.addAll(other.values.keySet());
        places.removeIf(place -> value(place) == other.value(place));
        return places;
    }

    /** The place that an action on a device changes. */
    static Place place(DeviceId device, Action action) {
        return new Place(device, action.part(), action.verb().aspect());
    }

    private static RigState of(Rig rig, ToIntFunction<Aspect> value) {
        SortedMap<Place, Integer> values = new TreeMap<>();
        rig.devices().forEach(device -> rig.model(device.id()).parts().forEach(part ->
                rig.model(device.id()).kind().aspects().forEach(aspect ->
                        values.put(new Place(device.id(), part.id(), aspect), value.applyAsInt(aspect)))));
        return new RigState(values);
    }
}
