package embrack.core.world;

import embrack.core.chart.Action;
import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Places.Move;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Everything that a rig remembers at one moment, as a value: how every part of every device stands, what devices
 * remember of the messages that reached them, what boards remember of feet, what is under way, what has failed. Two
 * worlds of one rig are equal when nothing that could be done to both could ever tell them apart; what people can see
 * of them now is compared by {@link #differs}. A world shares with the one it comes from what did not change, so that a
 * step costs the parts of its device, and a comparison those of the devices that were touched.
 */
public final class World {

    private final Places places;
    private final int[][] values;
    private final Map<Place, Integer> strange;
    private final Ears ears;
    private final Hands hands;
    private final Faults faults;
    private final UnderWay underWay;
    private final long clockMicros;

    /**
     * A state.
     *
     * @param values by device and place; arrays that other states have too are not changed any more
     * @param strange values at places that the hardware does not have
     * @param clockMicros how long it has gone on, in microseconds; two worlds may be equal at different times
     */
    private World(
            Places places,
            int[][] values,
            Map<Place, Integer> strange,
            Ears ears,
            Hands hands,
            Faults faults,
            UnderWay underWay,
            long clockMicros) {
        this.places = places;
        this.values = values;
        this.strange = strange;
        this.ears = ears;
        this.hands = hands;
        this.faults = faults;
        this.underWay = underWay;
        this.clockMicros = clockMicros;
    }

    /**
     * The rig before the first press: every aspect at its first value, so all strips open, but for what boxes do by
     * themselves when they start, and for what people set at doors.
     */
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
        return of(places, places::atDoors);
    }

    public static World opposite(Places places) {
        return of(places, places::farFromStart);
    }

    private interface Values {
        int[] of(int device);
    }

    private static World of(Places places, Values each) {
        int[][] values = new int[places.devices()][];
        for (int device = 0; device < values.length; device++) {
            values[device] = each.of(device);
        }
        return new World(places, values, Map.of(), Ears.NONE, Hands.NONE, Faults.NONE, UnderWay.QUIET, 0);
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
            move.applyTo(own);
        }
        return new World(places, next, odd, ears, hands, faults, underWay, clockMicros);
    }

    /** With a part as somebody set it; of those of which one is chosen at a time, the others are put out. */
    public World with(Place place, int value) {
        if (places.number(place) < 0) {
            return this;
        }
        int device = places.device(place.device()).orElseThrow();
        int[][] next = values.clone();
        next[device] = values[device].clone();
        if (value != 0) {
            for (Place other : places.besides(place)) {
                next[device][places.number(other)] = 0;
            }
        }
        next[device][places.number(place)] = value;
        return new World(places, next, strange, ears, hands, faults, underWay, clockMicros);
    }

    /** This world with all parts as in another one of the same rig; what is remembered stays. */
    public World corrected(World other) {
        return new World(places, other.values, other.strange, ears, hands, faults, underWay, clockMicros);
    }

    /** With the parts of a device as they are when it has been switched on again. */
    World restarted(DeviceId id) {
        int device = places.device(id).orElseThrow();
        int[][] next = values.clone();
        next[device] = places.restarted(device, values[device]);
        return new World(places, next, strange, ears, hands, faults, underWay, clockMicros);
    }

    /** What receivers remember. */
    Ears ears() {
        return ears;
    }

    World with(Ears others) {
        return others == ears ? this : new World(places, values, strange, others, hands, faults, underWay, clockMicros);
    }

    /** What boards remember. */
    Hands hands() {
        return hands;
    }

    World with(Hands others) {
        return new World(places, values, strange, ears, others, faults, underWay, clockMicros);
    }

    Faults faults() {
        return faults;
    }

    World with(Faults others) {
        return new World(places, values, strange, ears, hands, others, underWay, clockMicros);
    }

    UnderWay underWay() {
        return underWay;
    }

    World with(UnderWay others) {
        return new World(places, values, strange, ears, hands, faults, others, clockMicros);
    }

    /** As it is when so much time has gone by, with what is then under way. */
    World later(long micros, UnderWay others) {
        return new World(places, values, strange, ears.later(micros), hands, faults, others, clockMicros + micros);
    }

    /** As it is when every box has come to rest. */
    World rested() {
        return ears.deaf().isEmpty() ? this : with(ears.later(Long.MAX_VALUE));
    }

    /** How long it has gone on, in microseconds. Two worlds may be equal at different times. */
    public long clockMicros() {
        return clockMicros;
    }

    /** Whether nothing is under way, and no device is deaf. */
    public boolean isAtRest() {
        return underWay.isQuiet() && ears.deaf().isEmpty();
    }

    /** How long until the next message that is under way arrives somewhere, microseconds; empty where none is. */
    public OptionalLong nextArrivalMicros() {
        return underWay.flights().stream().mapToLong(UnderWay.Flight::atMicros).min();
    }

    /** Whether an alternating switch does the other at the next press. */
    public boolean isTurned(SwitchAt at) {
        return hands.turned().contains(at);
    }

    /** With an alternating switch at its other side. */
    public World turning(SwitchAt at) {
        return with(hands.turning(at));
    }

    /** The bank that a board shows, counted from 1. */
    public int shownBank(DeviceId board) {
        return hands.shown().getOrDefault(board, 1);
    }

    /** Whether a foot is on a switch. */
    public boolean isHeld(SwitchAt at) {
        return hands.held().containsKey(at);
    }

    /** The switches that a foot is on. */
    public SortedSet<SwitchAt> heldSwitches() {
        return new TreeSet<>(hands.held().keySet());
    }

    /** Whether a box is off. */
    public boolean isDark(DeviceId device) {
        return faults.dark().contains(device);
    }

    /** Whether a box starts or loads, and obeys nothing yet. */
    public boolean isDeaf(DeviceId device) {
        return ears.isDeaf(device, 0);
    }

    /** Links that are out. */
    public SortedSet<Link> linksOut() {
        return faults.out();
    }

    /** Whether the second one of a pair is used. */
    public boolean isOver(Pair pair) {
        return faults.over().contains(pair);
    }

    /** The memory that a device has loaded, counted from 1: the first, where none was chosen. */
    int loadedMemory(DeviceId id) {
        int device = places.device(id).orElseThrow();
        int[] memories = places.memories(device);
        for (int i = 0; i < memories.length; i++) {
            if (values[device][memories[i]] != 0) {
                return i + 1;
            }
        }
        return 1;
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
                && ears.equals(that.ears)
                && hands.equals(that.hands)
                && faults.equals(that.faults)
                && underWay.equals(that.underWay);
    }

    /** The same on every machine. */
    @Override
    public int hashCode() {
        int hash = Arrays.deepHashCode(values);
        for (int part : new int[] {ears.hash(), hands.hash(), faults.hash(), underWay.hash()}) {
            hash = 31 * hash + part;
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
