package embrack.core.proof;

import embrack.core.chart.MessageMemory;
import embrack.core.rig.DeviceId;
import embrack.core.world.Place;
import embrack.core.world.Places;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * All variables of a rig, each with a number, so that a state is an array. The numbers are shared by the plans that
 * come of one another, whoever asks for them: a variable keeps its own, whatever becomes of the rig.
 */
final class Variables {

    private final Places places;
    private final World start;
    private final int[] firsts;
    private final Shared shared;

    /** The numbers of all variables that any of these rigs has. */
    private static final class Shared {

        private final Map<Variable, Integer> numbers = new HashMap<>();
        private final List<Variable> variables = new ArrayList<>();
        private final Map<DeviceId, Standing> standing = new HashMap<>();
        private final Map<MessageMemory, Integer> memoryNumbers = new HashMap<>();
        private final List<MessageMemory> memories = new ArrayList<>();

        /** The number of the first place of a device; the others follow. */
        synchronized int first(DeviceId device, List<Place> places) {
            Standing known = standing.get(device);
            if (known == null || !known.places.equals(places)) {
                known = new Standing(places, variables.size());
                standing.put(device, known);
                places.forEach(place -> variables.add(new Variable.Stands(place)));
            }
            return known.first;
        }

        synchronized int number(Variable variable) {
            return numbers.computeIfAbsent(variable, v -> {
                variables.add(v);
                return variables.size() - 1;
            });
        }

        synchronized Variable get(int number) {
            return variables.get(number);
        }

        synchronized int size() {
            return variables.size();
        }

        synchronized int memory(MessageMemory memory) {
            return memoryNumbers.computeIfAbsent(memory, m -> {
                memories.add(m);
                return memories.size() - 1;
            });
        }

        synchronized MessageMemory memory(int number) {
            return memories.get(number);
        }
    }

    private record Standing(List<Place> places, int first) {}

    /** Those of a rig. */
    Variables(Places places, World start) {
        this(places, start, new Shared());
        memory(MessageMemory.NOTHING);
    }

    private Variables(Places places, World start, Shared shared) {
        this.places = places;
        this.start = start;
        this.shared = shared;
        this.firsts = new int[places.devices()];
        for (int device = 0; device < firsts.length; device++) {
            firsts[device] = shared.first(places.id(device), places.of(device));
        }
    }

    /** Those of a rig that came of this one: what both have keeps its number. */
    Variables on(Places others, World otherStart) {
        return new Variables(others, otherStart, shared);
    }

    /** The variable of a place by the numbers that the rig has for it. */
    int stands(int device, int place) {
        return firsts[device] + place;
    }

    /** The variables of all places of a device; none for one that is not in the rig. */
    BitSet of(DeviceId device) {
        BitSet all = new BitSet();
        for (int number = 0; number < firsts.length; number++) {
            if (places.id(number).equals(device)) {
                all.set(firsts[number], firsts[number] + places.of(number).size());
            }
        }
        return all;
    }

    /** The variable of a place. */
    int number(Place place) {
        return places.numberOf(place)
                .map(at -> stands(at.device(), at.place()))
                .orElseGet(() -> number(new Variable.Stands(place)));
    }

    /** The variable of anything but a place of the rig. */
    int number(Variable variable) {
        return shared.number(variable);
    }

    Variable get(int number) {
        return shared.get(number);
    }

    int size() {
        return shared.size();
    }

    /** Its value before the first press; 0 for one of a box that is not in the rig. */
    int start(int number) {
        Variable variable = shared.get(number);
        return !variable.isFresh()
                        && variable instanceof Variable.Stands stands
                        && places.numberOf(stands.place()).isPresent()
                ? start.value(stands.place())
                : 0;
    }

    /** The number of a memory; 0 for none. */
    int memory(MessageMemory memory) {
        return shared.memory(memory);
    }

    MessageMemory memory(int number) {
        return shared.memory(number);
    }
}
