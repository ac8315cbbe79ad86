package embrack.core.sim;

import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.Heard;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.gear.Model;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import java.util.stream.Stream;

/**
 * The state of every part of every device at one moment. Two states are equal when nobody could tell them apart: what
 * devices remember of the messages that reached them is not looked at. A state shares with the one it comes from what
 * did not change, so that a step costs the parts of its device, and a comparison those of the devices that were touched.
 */
public final class RigState {

    private final Map<DeviceId, Map<Place, Integer>> values;
    private final Map<DeviceId, Heard> heard;

    /** All maps are the state's own from here on, or those of another state that are not changed any more. */
    private RigState(Map<DeviceId, Map<Place, Integer>> values, Map<DeviceId, Heard> heard) {
        this.values = values;
        this.heard = heard;
    }

    /** The rig just switched on: every aspect at its first value, so all strips open. */
    public static RigState poweredOn(Rig rig) {
        return of(rig, aspect -> 0);
    }

    /** The rig with every aspect far from its first value, so all strips muted: the other end from {@link #poweredOn}. */
    public static RigState opposite(Rig rig) {
        return of(rig, Aspect::far);
    }

    /** The state after actions on one device of a rig, in their order. */
    public RigState after(Rig rig, DeviceId device, List<Action> actions) {
        Map<Place, Integer> changed = new HashMap<>(values.getOrDefault(device, Map.of()));
        for (Action action : actions) {
            act(rig.model(device), device, action, changed);
        }
        Map<DeviceId, Map<Place, Integer>> next = new HashMap<>(values);
        next.put(device, changed);
        return new RigState(next, heard);
    }

    private static void act(Model model, DeviceId device, Action action, Map<Place, Integer> changed) {
        Place place = place(device, action);
        changed.put(place, action.verb().applyTo(changed.getOrDefault(place, 0), action.amount().orElse(0)));
        if (action.verb().isExclusive()) {
            Optional<String> family = model.part(action.part()).map(Part::family);
            putOut(changed, place, other -> !other.part().equals(action.part()) && family.isPresent() && model.part(other.part()).map(Part::family).equals(family));
        } else if (action.verb() == Verb.STOP_ALL) {
            putOut(changed, place, other -> model.part(other.part()).isPresent());
        }
    }

    /** Sets to their first value the places of one aspect that are not there yet. */
    private static void putOut(Map<Place, Integer> changed, Place of, Predicate<Place> which) {
        changed.replaceAll((place, value) -> value != 0 && place.aspect() == of.aspect() && which.test(place) ? 0 : value);
    }

    /** With a message that a device has heard and will remember. */
    RigState hearing(DeviceId device, Message message) {
        Map<DeviceId, Heard> more = new TreeMap<>(heard);
        more.put(device, heardBy(device).with(message));
        return new RigState(values, more);
    }

    /** What a device has heard so far. */
    Heard heardBy(DeviceId device) {
        return heard.getOrDefault(device, Heard.NOTHING);
    }

    /** The value at a place; 0 for a part that the hardware does not have. */
    public int value(Place place) {
        return values.getOrDefault(place.device(), Map.of()).getOrDefault(place, 0);
    }

    /** The value of one aspect of one part, in a word: "muted". */
    public String word(DeviceId device, PartId part, Aspect aspect) {
        return aspect.word(value(new Place(device, part, aspect)));
    }

    /** The places where two states differ. */
    public SortedSet<Place> differences(RigState other) {
        SortedSet<Place> places = new TreeSet<>();
        Stream.concat(values.keySet().stream(), other.values.keySet().stream().filter(device -> !values.containsKey(device)))
                .filter(device -> values.get(device) != other.values.get(device)).forEach(device -> addDifferences(device, other, places));
        return places;
    }

    private void addDifferences(DeviceId device, RigState other, SortedSet<Place> places) {
        Map<Place, Integer> mine = values.getOrDefault(device, Map.of());
        Map<Place, Integer> theirs = other.values.getOrDefault(device, Map.of());
        mine.forEach((place, value) -> addIfOther(place, value, theirs, places));
        if (!mine.keySet().equals(theirs.keySet())) {
            theirs.forEach((place, value) -> addIfOther(place, value, mine, places));
        }
    }

    private static void addIfOther(Place place, int value, Map<Place, Integer> others, Set<Place> places) {
        if (value != others.getOrDefault(place, 0)) {
            places.add(place);
        }
    }

    /** The place that an action on a device changes. */
    static Place place(DeviceId device, Action action) {
        return new Place(device, action.part(), action.verb().aspect());
    }

    private static RigState of(Rig rig, ToIntFunction<Aspect> value) {
        Map<DeviceId, Map<Place, Integer>> values = new HashMap<>();
        rig.devices().forEach(device -> {
            Model model = rig.model(device.id());
            Map<Place, Integer> places = new HashMap<>();
            model.parts().forEach(part -> model.answers().aspects(part.id()).forEach(aspect ->
                    places.put(new Place(device.id(), part.id(), aspect), value.applyAsInt(aspect))));
            values.put(device.id(), places);
        });
        return new RigState(values, Map.of());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof RigState that && differences(that).isEmpty();
    }

    @Override
    public int hashCode() {
        return values.values().stream().flatMap(places -> places.entrySet().stream()).filter(e -> e.getValue() != 0).mapToInt(Object::hashCode).sum();
    }

    @Override
    public String toString() {
        return "RigState" + new TreeMap<>(values);
    }
}
