package embrack.core.world;

import embrack.core.chart.Action;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.gear.Model;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/**
 * All places of a rig, each with a number, so that a state is a few arrays. What an action does to them is worked out
 * once and can then be done to any state.
 */
public final class Places {

    private final Map<DeviceId, Integer> devices = new HashMap<>();
    private final Map<Place, Integer> numbers = new HashMap<>();
    private final List<List<Place>> places = new ArrayList<>();
    private final Map<Place, int[]> putOut = new HashMap<>();
    private final Rig rig;

    public Places(Rig rig) {
        this.rig = rig;
        for (Device device : rig.devices()) {
            Model model = rig.model(device.id());
            List<Place> own = new ArrayList<>();
            model.parts()
                    .forEach(part -> model.implementation()
                            .aspects(part.id())
                            .forEach(aspect -> own.add(new Place(device.id(), part.id(), aspect))));
            devices.put(device.id(), places.size());
            for (int i = 0; i < own.size(); i++) {
                numbers.put(own.get(i), i);
            }
            places.add(own);
        }
    }

    /** How many devices there are. */
    public int devices() {
        return places.size();
    }

    /** The places of a device by its number. */
    public List<Place> of(int device) {
        return places.get(device);
    }

    /** The number of a device; empty when it is not in the rig. */
    Optional<Integer> device(DeviceId device) {
        return Optional.ofNullable(devices.get(device));
    }

    /** The number of a place within its device; -1 for one that the hardware does not have. */
    int number(Place place) {
        return numbers.getOrDefault(place, -1);
    }

    /**
     * What an action does.
     *
     * @param device the number of the device
     * @param number of the place; -1 for one that the hardware does not have
     * @param out the numbers of the places that the action ends
     */
    public record Move(int device, int number, Place place, Verb verb, int amount, int[] out) {}

    /** What actions on a device do, in their order. */
    public List<Move> moves(DeviceId device, List<Action> actions) {
        return actions.stream()
                .map(action -> {
                    Place place = World.place(device, action);
                    return new Move(
                            devices.getOrDefault(device, 0),
                            number(place),
                            place,
                            action.verb(),
                            action.amount().orElse(0),
                            out(place, action.verb()));
                })
                .toList();
    }

    private int[] out(Place place, Verb verb) {
        if (!verb.isExclusive() && verb != Verb.STOP_ALL) {
            return NOTHING;
        }
        return putOut.computeIfAbsent(place, p -> verb.isExclusive() ? siblings(p) : others(p));
    }

    private static final int[] NOTHING = {};

    /** Of what is chosen of a family, one holds. */
    private int[] siblings(Place place) {
        Model model = rig.model(place.device());
        Optional<String> family = family(model, place.part());
        return numbersOf(
                place,
                other -> family.isPresent() && family(model, other.part()).equals(family));
    }

    private int[] others(Place place) {
        return numbersOf(place, other -> true);
    }

    private int[] numbersOf(Place place, Predicate<Place> which) {
        List<Place> own =
                places.get(Objects.requireNonNull(devices.get(place.device()), () -> place + " is of no box"));
        return IntStream.range(0, own.size())
                .filter(i ->
                        own.get(i).aspect() == place.aspect() && !own.get(i).equals(place) && which.test(own.get(i)))
                .toArray();
    }

    private static Optional<String> family(Model model, PartId part) {
        return model.part(part).map(Part::family);
    }
}
