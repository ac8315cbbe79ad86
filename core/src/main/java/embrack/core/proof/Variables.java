package embrack.core.proof;

import embrack.core.chart.MessageMemory;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** All variables of a rig, each with a number, so that a state is an array. */
final class Variables {

    private final World start;
    private final Map<Variable, Integer> numbers = new HashMap<>();
    private final List<Variable> variables = new ArrayList<>();
    private final Map<MessageMemory, Integer> memoryNumbers = new HashMap<>();
    private final List<MessageMemory> memories = new ArrayList<>();

    Variables(World start) {
        this.start = start;
        memory(MessageMemory.NOTHING);
    }

    int number(Variable variable) {
        return numbers.computeIfAbsent(variable, v -> {
            variables.add(v);
            return variables.size() - 1;
        });
    }

    Variable get(int number) {
        return variables.get(number);
    }

    int size() {
        return variables.size();
    }

    /** Its value before the first press. */
    int start(int number) {
        return !variables.get(number).isFresh() && variables.get(number) instanceof Variable.Stands stands
                ? start.value(stands.place())
                : 0;
    }

    /** The number of a memory; 0 for none. */
    int memory(MessageMemory memory) {
        return memoryNumbers.computeIfAbsent(memory, m -> {
            memories.add(m);
            return memories.size() - 1;
        });
    }

    MessageMemory memory(int number) {
        return memories.get(number);
    }
}
