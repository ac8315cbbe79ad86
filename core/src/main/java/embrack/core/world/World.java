package embrack.core.world;

import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.MessageMemory;
import embrack.core.chart.PartId;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Places.Move;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.ToIntFunction;

/**
 * Everything that a rig remembers at one moment, as a value: how every part of every device stands, what devices
 * remember of the messages that reached them, at which side alternating switches are. Two worlds of one rig are equal
 * when nothing that could be done to both could ever tell them apart; what people can see of them now is compared by
 * {@link #differs}. A world shares with the one it comes from what did not change, so that a step costs the parts of
 * its device, and a comparison those of the devices that were touched.
 */
public final class World {

    private final Places places;
    private final int[][] values;
    private final Map<Place, Integer> strange;
    private final SortedMap<DeviceId, MessageMemory> heard;
    private final SortedSet<SwitchAt> turned;

    /**
     * A state.
     *
     * @param values by device and place; arrays that other states have too are not changed any more
     * @param strange values at places that the hardware does not have
     * @param heard of devices that remember anything
     * @param turned alternating switches that do the other at the next press
     */
    private World(
            Places places,
            int[][] values,
            Map<Place, Integer> strange,
            SortedMap<DeviceId, MessageMemory> heard,
            SortedSet<SwitchAt> turned) {
        this.places = places;
        this.values = values;
        this.strange = strange;
        this.heard = heard;
        this.turned = turned;
    }

    /** The rig just switched on: every aspect at its first value, so all strips open. */
    public static World poweredOn(Rig rig) {
        return poweredOn(new Places(rig));
    }

    /**
     * The rig with every aspect far from its first value, so all strips muted: the other end from {@link #poweredOn}.
     */
    public static World opposite(Rig rig) {
        return opposite(new Places(rig));
    }

    public static World poweredOn(Places places) {
        return of(places, aspect -> 0);
    }

    public static World opposite(Places places) {
        return of(places, Aspect::far);
    }

    private static World of(Places places, ToIntFunction<Aspect> value) {
        int[][] values = new int[places.devices()][];
        for (int device = 0; device < values.length; device++) {
            values[device] = places.of(device).stream()
                    .mapToInt(place -> value.applyAsInt(place.aspect()))
                    .toArray();
        }
        return new World(places, values, Map.of(), new TreeMap<>(), new TreeSet<>());
    }

    /** The state after actions on one device of the rig, in their order. */
    public World after(DeviceId device, List<Action> actions) {
        return after(places.moves(device, actions));
    }

    /** The state after moves that were worked out before. */
    public World after(List<Move> moves) {
        if (moves.isEmpty()) {
            return this;
        }
        int[][] next = values.clone();
        Map<Place, Integer> odd = strange;
        for (Move move : moves) {
            if (move.number() < 0) {
                odd = new HashMap<>(odd);
                odd.put(move.place(), move.verb().applyTo(odd.getOrDefault(move.place(), 0), move.amount()));
                continue;
            }
            int[] own = next[move.device()];
            if (own == values[move.device()]) {
                own = own.clone();
                next[move.device()] = own;
            }
            own[move.number()] = move.verb().applyTo(own[move.number()], move.amount());
            for (int number : move.out()) {
                own[number] = 0;
            }
        }
        return new World(places, next, odd, heard, turned);
    }

    /** This world with all parts as in another one of the same rig; what is remembered stays. */
    public World corrected(World other) {
        return new World(places, other.values, other.strange, heard, turned);
    }

    /** With what a device remembers now. */
    World remembering(DeviceId device, MessageMemory memory) {
        if (memory.equals(heardBy(device))) {
            return this;
        }
        SortedMap<DeviceId, MessageMemory> more = new TreeMap<>(heard);
        if (memory.equals(MessageMemory.NOTHING)) {
            more.remove(device);
        } else {
            more.put(device, memory);
        }
        return new World(places, values, strange, more, turned);
    }

    /** Whether an alternating switch does the other at the next press. */
    public boolean isTurned(SwitchAt at) {
        return turned.contains(at);
    }

    /** With an alternating switch at its other side. */
    public World turning(SwitchAt at) {
        SortedSet<SwitchAt> more = new TreeSet<>(turned);
        if (!more.remove(at)) {
            more.add(at);
        }
        return new World(places, values, strange, heard, more);
    }

    /** What a device has heard so far. */
    MessageMemory heardBy(DeviceId device) {
        return heard.getOrDefault(device, MessageMemory.NOTHING);
    }

    /** The value at a place; 0 for a part that the hardware does not have. */
    public int value(Place place) {
        int number = places.number(place);
        return number < 0
                ? strange.getOrDefault(place, 0)
                : values[places.device(place.device()).orElseThrow()][number];
    }

    /** The value of one aspect of one part, in a word: "muted". */
    public String word(DeviceId device, PartId part, Aspect aspect) {
        return aspect.word(value(new Place(device, part, aspect)));
    }

    /** The places where two states of one rig differ. */
    public SortedSet<Place> differences(World other) {
        SortedSet<Place> different = new TreeSet<>();
        for (int device = 0; device < values.length; device++) {
            if (values[device] != other.values[device]) {
                addDifferences(places.of(device), values[device], other.values[device], different);
            }
        }
        if (!strange.isEmpty() || !other.strange.isEmpty()) {
            SortedSet<Place> odd = new TreeSet<>(strange.keySet());
            odd.addAll(other.strange.keySet());
            odd.stream()
                    .filter(place -> !strange.getOrDefault(place, 0).equals(other.strange.getOrDefault(place, 0)))
                    .forEach(different::add);
        }
        return different;
    }

    private static void addDifferences(List<Place> places, int[] mine, int[] theirs, SortedSet<Place> different) {
        int at = Arrays.mismatch(mine, theirs);
        for (int i = at; i >= 0 && i < mine.length; i++) {
            if (mine[i] != theirs[i]) {
                different.add(places.get(i));
            }
        }
    }

    /** Whether two states of one rig differ anywhere. */
    public boolean differs(World other) {
        for (int device = 0; device < values.length; device++) {
            if (values[device] != other.values[device] && !Arrays.equals(values[device], other.values[device])) {
                return true;
            }
        }
        return !strange.equals(other.strange) && !differences(other).isEmpty();
    }

    /** The place that an action on a device changes. */
    public static Place place(DeviceId device, Action action) {
        return new Place(device, action.part(), action.verb().aspect());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof World that
                && values.length == that.values.length
                && !differs(that)
                && heard.equals(that.heard)
                && turned.equals(that.turned);
    }

    /** The same on every machine. */
    @Override
    public int hashCode() {
        int hash = Arrays.deepHashCode(values);
        for (SwitchAt at : turned) {
            hash = 31 * hash + at.key().hashCode();
        }
        return hash;
    }

    @Override
    public String toString() {
        SortedMap<Place, Integer> told = new TreeMap<>(strange);
        for (int device = 0; device < values.length; device++) {
            for (int i = 0; i < values[device].length; i++) {
                if (values[device][i] != 0) {
                    told.put(places.of(device).get(i), values[device][i]);
                }
            }
        }
        return "World" + told;
    }
}
