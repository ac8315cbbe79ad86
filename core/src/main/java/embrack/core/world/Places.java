package embrack.core.world;

import embrack.core.chart.Action;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.chart.Standing;
import embrack.core.chart.Verb;
import embrack.core.gear.Model;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/**
 * All places of a rig, each with a number, so that a state is a few arrays. What an action does to them is worked out
 * once and can then be done to any state.
 */
public final class Places {

    private static final int[] NOTHING = {};

    private final Map<DeviceId, Integer> devices = new HashMap<>();
    private final Map<Place, Integer> numbers = new HashMap<>();
    private final List<List<Place>> places = new ArrayList<>();
    private final List<DeviceId> ids = new ArrayList<>();
    private final List<int[]> memories = new ArrayList<>();
    private final Map<Place, int[]> putOut = new ConcurrentHashMap<>();
    private final Map<DeviceId, Map<Action, Move>> moves = new ConcurrentHashMap<>();
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
            ids.add(device.id());
            memories.add(model.standing()
                    .loading()
                    .map(loading -> IntStream.range(0, loading.memories().size())
                            .map(i -> number(
                                    new Place(device.id(), loading.memories().get(i), Verb.SELECT.aspect())))
                            .toArray())
                    .orElse(NOTHING));
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

    /** The device of a number. */
    public DeviceId id(int device) {
        return ids.get(device);
    }

    /** Whether another rig has the same boxes in the same order, with the same places, so that all numbers agree. */
    public boolean isAlike(Places other) {
        return ids.equals(other.ids) && places.equals(other.places);
    }

    /** The values of a device that has just been switched on. */
    int[] atStart(int device) {
        int[] values = new int[of(device).size()];
        set(values, moves(ids.get(device), standing(device).atStart()));
        return values;
    }

    /** The values of a device before the first press: switched on, and set as people set it at doors. */
    int[] atDoors(int device) {
        int[] values = atStart(device);
        set(values, setAtDoors(device));
        return values;
    }

    private List<Move> setAtDoors(int device) {
        List<Action> actions = rig.device(ids.get(device)).handWork().atDoors();
        return actions.isEmpty()
                ? List.of()
                : moves(ids.get(device), actions).stream()
                        .filter(move -> move.number() >= 0)
                        .toList();
    }

    private static void set(int[] values, List<Move> moves) {
        for (Move move : moves) {
            move.applyTo(values);
        }
    }

    /** The values of a device as far from those at its start as they can be; of parts of which one is on, the first. */
    int[] farFromStart(int device) {
        List<Place> own = of(device);
        int[] values = new int[own.size()];
        Set<List<PartId>> on = new HashSet<>();
        for (int i = 0; i < values.length; i++) {
            Place place = own.get(i);
            boolean first = group(device, place.part()).map(on::add).orElse(true);
            values[i] = first ? place.aspect().far() : 0;
        }
        return values;
    }

    /** The values of a device that was off and is on again: what it keeps, and else those at its start. */
    int[] restarted(int device, int[] before) {
        int[] values = atStart(device);
        Set<PartId> kept = standing(device).kept();
        for (int i = 0; i < values.length; i++) {
            if (kept.contains(of(device).get(i).part())) {
                values[i] = before[i];
            }
        }
        return values;
    }

    /** The numbers of the places that say which memory a device has loaded, in the order of the memories. */
    int[] memories(int device) {
        return memories.get(device);
    }

    /** The places that say which memory a device has loaded, in the order of the memories. */
    public List<Place> memories(DeviceId id) {
        int device = device(id).orElseThrow();
        return Arrays.stream(memories(device))
                .mapToObj(number -> of(device).get(number))
                .toList();
    }

    /** A device of the rig and a place of it, by their numbers. */
    public record At(int device, int place) {}

    /** The numbers of a place; empty for one that the hardware does not have. */
    public Optional<At> numberOf(Place place) {
        int number = number(place);
        return number < 0 ? Optional.empty() : device(place.device()).map(device -> new At(device, number));
    }

    /** Whether a place stands after power-off as it stood before, and nobody sets it at doors. */
    public boolean isKept(Place place) {
        return rig.model(place.device()).standing().kept().contains(place.part()) && !isSetAtDoors(place);
    }

    private boolean isSetAtDoors(Place place) {
        int number = number(place);
        return device(place.device())
                .filter(device ->
                        setAtDoors(device).stream().anyMatch(move -> move.number() == number || ends(move, number)))
                .isPresent();
    }

    private static boolean ends(Move move, int number) {
        return (move.verb() == Verb.STOP_ALL || move.verb().applyTo(0, move.amount()) != 0)
                && Arrays.stream(move.out()).anyMatch(out -> out == number);
    }

    /** Whether people may set a place at its box at any time. */
    public boolean isWorkedByHand(Place place) {
        return !place.aspect().isCount()
                && (rig.model(place.device()).standing().byHand().contains(place.part())
                        || rig.device(place.device()).handWork().worked().contains(place.part()));
    }

    private Standing standing(int device) {
        return rig.model(ids.get(device)).standing();
    }

    /** The parts of which one is on at most, this one among them. */
    private Optional<List<PartId>> group(int device, PartId part) {
        return standing(device).alone().stream()
                .filter(group -> group.contains(part))
                .findFirst();
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
     * @param within the number of the place that has to be chosen, or nothing is done; -1 for none
     * @param out the numbers of the places that the action ends, unless it puts its own place out
     */
    public record Move(int device, int number, Place place, Verb verb, int amount, int within, int[] out) {

        /** Does it to the values of its device. */
        void applyTo(int[] values) {
            if (within >= 0 && values[within] == 0) {
                return;
            }
            values[number] = verb.applyTo(values[number], amount);
            if (values[number] != 0 || verb == Verb.STOP_ALL) {
                for (int other : out) {
                    values[other] = 0;
                }
            }
        }
    }

    /** What actions on a device do, in their order. */
    public List<Move> moves(DeviceId device, List<Action> actions) {
        if (actions.isEmpty()) {
            return List.of();
        }
        Map<Action, Move> known = moves.computeIfAbsent(device, d -> new ConcurrentHashMap<>());
        return actions.stream()
                .map(action -> known.computeIfAbsent(action, a -> move(device, a)))
                .toList();
    }

    private Move move(DeviceId device, Action action) {
        Place place = World.place(device, action);
        return new Move(
                devices.getOrDefault(device, 0),
                number(place),
                place,
                action.verb(),
                action.amount().orElse(0),
                within(place).map(this::number).orElse(-1),
                out(place, action.verb()));
    }

    /** What has to be chosen for a place to obey: the patch of a knob; empty for one that always does. */
    public Optional<Place> within(Place place) {
        return Optional.ofNullable(devices.get(place.device()))
                .flatMap(device -> Optional.ofNullable(standing(device).within().get(place.part())))
                .map(chosen -> new Place(place.device(), chosen, Verb.SELECT.aspect()));
    }

    /** The places that are out while this one is on. */
    public List<Place> besides(Place place) {
        int device = Objects.requireNonNull(devices.get(place.device()));
        boolean alone = place.aspect() == Verb.SELECT.aspect()
                || group(device, place.part()).isPresent();
        return alone
                ? Arrays.stream(out(place, Verb.SELECT))
                        .mapToObj(of(device)::get)
                        .toList()
                : List.of();
    }

    private int[] out(Place place, Verb verb) {
        Integer device = devices.get(place.device());
        if (device == null) {
            return NOTHING;
        }
        Optional<List<PartId>> group = group(device, place.part());
        if (!verb.isExclusive() && verb != Verb.STOP_ALL && group.isEmpty()) {
            return NOTHING;
        }
        if (verb == Verb.STOP_ALL) {
            return others(place);
        }
        return putOut.computeIfAbsent(
                place,
                p -> group.<int[]>map(parts -> numbersOf(p, other -> parts.contains(other.part())))
                        .orElseGet(() -> siblings(p)));
    }

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
