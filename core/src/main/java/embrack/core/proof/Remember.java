package embrack.core.proof;

import embrack.core.chart.MessageMemory;
import embrack.core.gear.Implementation;
import embrack.core.midi.Message;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * A device remembers a message in one respect.
 *
 * @param variable what it remembers there
 */
record Remember(
        Variables variables,
        Implementation implementation,
        Message message,
        MessageMemory.Key key,
        int variable,
        Map<Integer, Integer> known)
        implements Effect {

    Remember(Variables variables, Implementation implementation, Message message, MessageMemory.Key key, int variable) {
        this(variables, implementation, message, key, variable, new ConcurrentHashMap<>());
    }

    @Override
    public int[] touches() {
        return new int[] {variable};
    }

    @Override
    public boolean settles(int touched) {
        return key instanceof MessageMemory.Control;
    }

    @Override
    public int[] reads(int touched) {
        return settles(touched) ? NOTHING : new int[] {variable};
    }

    @Override
    public void run(int[] state) {
        state[variable] = known.computeIfAbsent(
                state[variable],
                before -> variables.memory(implementation
                        .remember(variables.memory(before), message)
                        .only(key)));
    }
}
