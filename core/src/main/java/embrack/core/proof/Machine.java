package embrack.core.proof;

import embrack.core.world.Place;
import embrack.core.world.Places;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** All that can be done with a rig, and what each of it writes. */
final class Machine {

    /** As many parts that stand after power-off are looked at in all ways in which they may stand together. */
    private static final int MOST_KEPT = 12;

    /** As many states of a plan are looked at in all; from then on a few in each cone. */
    private static final int MOST_IN_ALL = 2_000_000;

    private static final int LEAST_STATES = 1_000;

    private final Variables variables;
    private final Places places;
    private final List<Transition> transitions = new ArrayList<>();
    private final Map<Integer, BitSet> writing = new HashMap<>();
    private final Map<BitSet, Cone> cones = new HashMap<>();
    private final Map<BitSet, Reach> reaches = new HashMap<>();
    private final BitSet feet = new BitSet();
    private final BitSet raised = new BitSet();
    private Optional<BitSet> varying = Optional.empty();
    private int[] scratch = new int[0];
    private int looked;

    Machine(Variables variables, Places places) {
        this.variables = variables;
        this.places = places;
    }

    /** With more gestures. They stand behind those that are there already. */
    void add(List<Transition> more) {
        for (Transition transition : more) {
            int number = transitions.size();
            transitions.add(transition);
            varying = Optional.empty();
            transition.actual().forEach(effect -> IntStream.of(effect.raises()).forEach(raised::set));
            transition.touched().stream().forEach(variable -> {
                writing.computeIfAbsent(variable, v -> new BitSet()).set(number);
                if (variables.get(variable) instanceof Variable.Down) {
                    feet.set(variable);
                }
            });
        }
    }

    Variables variables() {
        return variables;
    }

    List<Transition> transitions() {
        return transitions;
    }

    /** Some gestures, by their numbers. */
    List<Transition> transitions(BitSet numbers) {
        return numbers.stream().mapToObj(transitions::get).toList();
    }

    /** The numbers of the gestures that may change a variable. */
    BitSet writing(int variable) {
        return writing.getOrDefault(variable, NONE);
    }

    private static final BitSet NONE = new BitSet();

    /** Of some variables those that last from one gesture to the next, and that anything ever brings from 0. */
    BitSet lasting(BitSet some) {
        BitSet lasting = (BitSet) some.clone();
        lasting.and(varying.orElseGet(this::allVarying));
        return lasting;
    }

    private BitSet allVarying() {
        BitSet all = new BitSet();
        for (int variable = 0; variable < variables.size(); variable++) {
            if (!variables.get(variable).isFresh()
                    && (raised.get(variable)
                            || variables.start(variable) != 0
                            || !keptValues(variable).isEmpty())) {
                all.set(variable);
            }
        }
        varying = Optional.of(all);
        return all;
    }

    /** Of some variables those that are sides of switches. */
    BitSet sidesAmong(BitSet some) {
        BitSet sides = new BitSet();
        some.stream().filter(v -> variables.get(v) instanceof Variable.Side).forEach(sides::set);
        return sides;
    }

    /** As many states as may still be looked at in one cone. */
    int room() {
        return Math.clamp(MOST_IN_ALL - looked, LEAST_STATES, Reach.MOST_STATES);
    }

    /** The variables that say whether a foot is on a switch. */
    BitSet feet() {
        return feet;
    }

    /** An array of all variables, all 0, for one use at a time. */
    int[] scratch() {
        if (scratch.length < variables.size()) {
            scratch = new int[variables.size()];
        }
        return scratch;
    }

    /** All states of the cone of some variables. */
    Reach reach(BitSet seeds) {
        Cone cone = cones.computeIfAbsent(seeds, s -> Cone.of(this, s));
        Reach known = reaches.get(cone.variables());
        if (known == null) {
            known = new Reach(this, cone);
            looked += known.size();
            reaches.put(cone.variables(), known);
        }
        return known;
    }

    /**
     * How some variables may stand before the first press: as at power-on; what is kept at power-off may have been left
     * any way.
     */
    List<int[]> starts(int[] some) {
        int[] start = IntStream.of(some).map(variables::start).toArray();
        List<int[]> starts = new ArrayList<>(List.of(start));
        int kept = 0;
        for (int i = 0; i < some.length; i++) {
            List<Integer> values = keptValues(some[i]);
            if (!values.isEmpty() && kept++ < MOST_KEPT) {
                for (int[] known : List.copyOf(starts)) {
                    for (int value : values) {
                        if (value != known[i]) {
                            int[] other = known.clone();
                            other[i] = value;
                            starts.add(other);
                        }
                    }
                }
            }
        }
        return starts;
    }

    private List<Integer> keptValues(int variable) {
        return variables.get(variable) instanceof Variable.Stands stands
                        && !stands.isFresh()
                        && places.numberOf(stands.place()).isPresent()
                        && places.isKept(stands.place())
                ? stands.place().aspect().ends()
                : List.of();
    }

    /** How parts were left by somebody, where a start is not as at power-on. */
    List<Doing> startWay(int[] some, int[] start) {
        List<Doing> way = new ArrayList<>();
        for (int i = 0; i < some.length; i++) {
            if (start[i] != variables.start(some[i]) && variables.get(some[i]) instanceof Variable.Stands stands) {
                way.add(new Doing.Left(stands.place(), start[i]));
            }
        }
        return way;
    }

    /** The place that a variable is about; only for variables that say how a part stands. */
    Place place(int variable) {
        return ((Variable.Stands) variables.get(variable)).place();
    }

    boolean isPlace(int variable) {
        return variables.get(variable) instanceof Variable.Stands;
    }
}
