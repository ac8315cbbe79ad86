package embrack.core.proof;

import embrack.core.proof.Transition.Guard;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * All that decides about some variables, and no more: with each variable what every gesture that writes it reads to do
 * so, and what allows that gesture. Every run of the rig is one of the cone, and every run of the cone is one of the
 * rig, of the same length.
 *
 * @param variables in the order of their numbers
 * @param depends all that these gestures read, also what never changes as things are
 * @param moves what gestures do within it, in the order of the plan
 */
record Cone(BitSet variables, BitSet depends, List<Move> moves) {

    /**
     * Of more alternating switches than these, each is taken to be at either side at any time: pressing it once more
     * brings it there. So nothing that can fail is missed, but a story may leave out such a press.
     */
    private static final int MOST_SIDES = 10;

    /**
     * A gesture, as far as it concerns a cone.
     *
     * @param guards what has to be so
     * @param effects those that matter
     * @param passing variables beyond the cone that are written on the way, and cleared afterwards
     */
    record Move(Transition transition, List<Guard> guards, Effect[] effects, int[] passing) {

        boolean isPossible(int[] state) {
            for (Guard guard : guards) {
                if (state[guard.variable()] != guard.value()) {
                    return false;
                }
            }
            return true;
        }

        /** Does it to a state. */
        void run(int[] state) {
            for (Effect effect : effects) {
                effect.run(state);
            }
            for (int variable : passing) {
                state[variable] = 0;
            }
        }
    }

    /** The cone of some variables. */
    static Cone of(Machine machine, BitSet seeds) {
        BitSet variables = new BitSet();
        BitSet touching = new BitSet();
        BitSet open = machine.lasting(seeds);
        BitSet depends = (BitSet) seeds.clone();
        for (int next = open.nextSetBit(0); next >= 0; next = open.nextSetBit(0)) {
            open.clear(next);
            variables.set(next);
            BitSet writing = machine.writing(next);
            touching.or(writing);
            for (Transition transition : machine.transitions(writing)) {
                for (Guard guard : transition.guards()) {
                    if (!variables.get(guard.variable())) {
                        open.set(guard.variable());
                    }
                }
                depends.or(transition.done(next).reads());
                BitSet reads = machine.lasting(transition.done(next).reads());
                reads.andNot(variables);
                open.or(reads);
            }
        }
        depends.or(variables);
        BitSet sides = machine.sidesAmong(variables);
        sides.andNot(seeds);
        if (sides.cardinality() > MOST_SIDES) {
            variables.andNot(sides);
        }
        List<Move> moves = new ArrayList<>();
        for (Transition transition : machine.transitions(touching)) {
            moves.add(move(transition, variables));
        }
        return new Cone(variables, depends, moves);
    }

    private static Move move(Transition transition, BitSet variables) {
        Live live = Live.of(transition.actual(), variables);
        BitSet passing = (BitSet) live.used().clone();
        passing.andNot(variables);
        return new Move(
                transition,
                transition.guards().stream()
                        .filter(guard -> variables.get(guard.variable()))
                        .toList(),
                live.effects().toArray(Effect[]::new),
                passing.stream().toArray());
    }
}
