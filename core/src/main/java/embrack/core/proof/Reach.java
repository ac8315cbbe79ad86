package embrack.core.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** Every state of a cone that the rig can reach, the nearest to the start first. */
final class Reach {

    /** As many states of a cone are looked at. */
    static final int MOST_STATES = 200_000;

    /** As many switches are held at once: a person has two feet. */
    private static final int FEET = 2;

    private final Machine machine;
    private final int most;
    private final BitSet cone;
    private final BitSet depends;
    private final int[] variables;
    private final List<int[]> states = new ArrayList<>();
    private final List<Integer> before = new ArrayList<>();
    private final List<@Nullable Transition> by = new ArrayList<>();
    private boolean whole = true;

    private record Key(int[] values) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Key that && Arrays.equals(values, that.values);
        }

        @Override
        public int hashCode() {
            return Arrays.hashCode(values);
        }
    }

    Reach(Machine machine, Cone cone) {
        this.machine = machine;
        this.most = machine.room();
        this.cone = cone.variables();
        this.depends = cone.depends();
        this.variables = this.cone.stream().toArray();
        BitSet feet = machine.feet();
        int[] downs = Arrays.stream(variables).filter(feet::get).toArray();
        Map<Key, Integer> known = new HashMap<>();
        for (int[] root : machine.starts(variables)) {
            add(known, root, -1, null);
        }
        int[] scratch = machine.scratch();
        for (int at = 0; at < states.size() && whole; at++) {
            for (Cone.Move move : cone.moves()) {
                load(at, scratch);
                if (move.isPossible(scratch)) {
                    move.run(scratch);
                    if (downs.length <= FEET || held(downs, scratch) <= FEET) {
                        add(known, values(scratch), at, move.transition());
                    }
                }
            }
        }
        clear(scratch);
    }

    private static int held(int[] downs, int[] state) {
        int held = 0;
        for (int down : downs) {
            held += state[down];
        }
        return held;
    }

    private void add(Map<Key, Integer> known, int[] values, int from, @Nullable Transition transition) {
        if (states.size() >= most) {
            whole = false;
        } else if (known.putIfAbsent(new Key(values), states.size()) == null) {
            states.add(values);
            before.add(from);
            by.add(transition);
        }
    }

    private int[] values(int[] state) {
        int[] values = new int[variables.length];
        for (int i = 0; i < values.length; i++) {
            values[i] = state[variables[i]];
        }
        return values;
    }

    /** Puts a state into an array of all variables. */
    void load(int state, int[] into) {
        int[] values = states.get(state);
        for (int i = 0; i < values.length; i++) {
            into[variables[i]] = values[i];
        }
    }

    /** Takes a state out of an array of all variables. */
    void clear(int[] from) {
        for (int variable : variables) {
            from[variable] = 0;
        }
    }

    /** The variables that its states are of. */
    BitSet cone() {
        return cone;
    }

    /** All that decides about its states, also what never changes as things are. */
    BitSet depends() {
        return depends;
    }

    /** How many states there are. */
    int size() {
        return states.size();
    }

    /** Whether these are all states; else only those nearest to the start. */
    boolean isWhole() {
        return whole;
    }

    /** A shortest way from the start to a state. */
    List<Doing> way(int state) {
        LinkedList<Doing> way = new LinkedList<>();
        for (int at = state; before.get(at) >= 0; at = before.get(at)) {
            way.addFirst(Objects.requireNonNull(by.get(at)).doing());
        }
        machine.startWay(variables, states.get(root(state))).forEach(way::addFirst);
        return way;
    }

    private int root(int state) {
        int at = state;
        while (before.get(at) >= 0) {
            at = before.get(at);
        }
        return at;
    }
}
