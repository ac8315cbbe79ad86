package embrack.core.proof;

import embrack.core.chart.MessageMemory;
import embrack.core.world.Place;
import embrack.core.world.Places;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * All variables of a rig, each with a number, so that a state is an array. They are shared by the plans that come of
 * one another, whoever asks for them.
 */
final class Variables {

    private final Places places;
    private final World start;
    private final int[] firsts;
    private final Map<Variable, Integer> numbers = new HashMap<>();
    private final List<Variable> variables = new ArrayList<>();
    private final Map<MessageMemory, Integer> memoryNumbers = new HashMap<>();
    private final List<MessageMemory> memories = new ArrayList<>();

    Variables(Places places, World start) {
        this.places = places;
        this.start = start;
        this.firsts = new int[places.devices()];
        for (int device = 0; device < firsts.length; device++) {
            firsts[device] = variables.size();
            places.of(device).forEach(place -> variables.add(new Variable.Stands(place)));
        }
        memory(MessageMemory.NOTHING);
    }

    /** The variable of a place by the numbers that the rig has for it. */
    int stands(int device, int place) {
        return firsts[device] + place;
    }

    /** The variable of a place. */
    int number(Place place) {
        return places.numberOf(place)
                .map(at -> stands(at.device(), at.place()))
                .orElseGet(() -> number(new Variable.Stands(place)));
    }

    /** The variable of anything but a place of the rig. */
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

    /** Its value before the first press. */
    synchronized int start(int number) {
        return !variables.get(number).isFresh() && variables.get(number) instanceof Variable.Stands stands
                ? start.value(stands.place())
                : 0;
    }

    /** The number of a memory; 0 for none. */
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
