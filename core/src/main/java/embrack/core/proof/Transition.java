package embrack.core.proof;

import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** A gesture as a step from one state of a rig to the next, with what it is meant to do. */
final class Transition {

    /** A variable has a value, or the gesture cannot be made. */
    record Guard(int variable, int value) {}

    /**
     * A part that was started stands still unless one of some variables is not 0.
     *
     * @param started the variable of the part that was started
     */
    record Need(int started, int[] by) {}

    private final Doing doing;
    private final List<Guard> guards;
    private final List<Effect> actual;
    private final List<Effect> meant;
    private final List<Need> needs;
    private final BitSet touched = new BitSet();
    private final BitSet targets = new BitSet();
    private final Map<Integer, Live> done = new HashMap<>();
    private final Map<Integer, Live> wanted = new HashMap<>();

    Transition(Doing doing, List<Guard> guards, List<Effect> actual, List<Effect> meant, List<Need> needs) {
        this.doing = doing;
        this.guards = guards;
        this.actual = actual;
        this.meant = meant;
        this.needs = needs;
        actual.forEach(effect -> add(effect.touches(), touched));
        meant.forEach(effect -> add(effect.touches(), targets));
    }

    private static void add(int[] variables, BitSet to) {
        for (int variable : variables) {
            to.set(variable);
        }
    }

    Doing doing() {
        return doing;
    }

    List<Guard> guards() {
        return guards;
    }

    List<Effect> actual() {
        return actual;
    }

    List<Need> needs() {
        return needs;
    }

    /** What it may change. */
    BitSet touched() {
        return touched;
    }

    /** What it is meant to change. */
    BitSet targets() {
        return targets;
    }

    /** What of it decides how a variable stands afterwards. */
    Live done(int variable) {
        return done.computeIfAbsent(variable, v -> Live.of(actual, only(v)));
    }

    /** What of what is meant decides how a variable should stand afterwards. */
    Live wanted(int variable) {
        return wanted.computeIfAbsent(variable, v -> Live.of(meant, only(v)));
    }

    private static BitSet only(int variable) {
        BitSet one = new BitSet();
        one.set(variable);
        return one;
    }

    /** Whether it can be done in a state. */
    boolean isPossible(int[] state) {
        for (Guard guard : guards) {
            if (state[guard.variable()] != guard.value()) {
                return false;
            }
        }
        return true;
    }
}
