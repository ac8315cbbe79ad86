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
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.ToIntFunction;
import java.util.stream.Stream;

/**
 * The state of every part of every device at one moment. Two states are equal when nobody could tell them apart: what
 * devices remember of the messages that reached them is not looked at.
 */
public final class RigState {

    private final SortedMap<Place, Integer> values;
    private final Map<DeviceId, Heard> heard;

    /** Both maps are the state's own from here on. */
    private RigState(SortedMap<Place, Integer> values, Map<DeviceId, Heard> heard) {
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
        SortedMap<Place, Integer> changed = new TreeMap<>(values);
        for (Action action : actions) {
            act(rig.model(device), device, action, changed);
        }
        return new RigState(changed, heard);
    }

    private static void act(Model model, DeviceId device, Action action, SortedMap<Place, Integer> changed) {
        Place place = place(device, action);
        changed.put(place, action.verb().applyTo(changed.getOrDefault(place, 0), action.amount().orElse(0)));
        if (action.verb().isExclusive()) {
            siblings(model, action.part()).forEach(part -> changed.replace(new Place(device, part, place.aspect()), 0));
        } else if (action.verb() == Verb.STOP_ALL) {
            model.parts().forEach(part -> changed.replace(new Place(device, part.id(), place.aspect()), 0));
        }
    }

    private static Stream<PartId> siblings(Model model, PartId id) {
        Optional<String> family = model.part(id).map(Part::family);
        return model.parts().stream().filter(p -> !p.id().equals(id) && family.filter(p.family()::equals).isPresent()).map(Part::id);
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
        rig.devices().forEach(device -> {
            Model model = rig.model(device.id());
            model.parts().forEach(part -> model.answers().aspects(part.id()).forEach(aspect ->
                    values.put(new Place(device.id(), part.id(), aspect), value.applyAsInt(aspect))));
        });
        return new RigState(values, Map.of());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof RigState that && differences(that).isEmpty();
    }

    @Override
    public int hashCode() {
        return values.entrySet().stream().filter(e -> e.getValue() != 0).mapToInt(Object::hashCode).sum();
    }

    @Override
    public String toString() {
        return "RigState" + values;
    }
}
