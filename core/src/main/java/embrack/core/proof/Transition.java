package embrack.core.proof;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/** A gesture as a step from one state of a rig to the next, with what it is meant to do. */
final class Transition {

    /** A variable has a value, or the gesture cannot be made. */
    record Guard(int variable, int value) {}

    /**
     * Something that a part needs that was started: one of some variables is not 0.
     *
     * @param started the variable of the part that was started
     * @param by the variables of what it needs
     * @param unless it has it also while all of these are 0; empty where that does not help
     * @param lack what is so without it
     */
    record Need(int started, int[] by, int[] unless, Lack lack) {

        boolean isMet(int[] state) {
            return isAny(by, state) || unless.length > 0 && !isAny(unless, state);
        }

        private static boolean isAny(int[] variables, int[] state) {
            for (int variable : variables) {
                if (state[variable] != 0) {
                    return true;
                }
            }
            return false;
        }
    }

    private final Doing doing;
    private final List<Guard> guards;
    private final List<Effect> actual;
    private final List<Effect> meant;
    private final List<Need> needs;
    private final BitSet touched = new BitSet();
    private final BitSet targets = new BitSet();
    private final Map<Integer, List<Effect>> doneAt = new HashMap<>();
    private final Map<Integer, List<Effect>> meantAt = new HashMap<>();
    private final Map<Integer, Live> done = new ConcurrentHashMap<>();
    private final Map<Integer, Live> wanted = new ConcurrentHashMap<>();

    Transition(Doing doing, List<Guard> guards, List<Effect> actual, List<Effect> meant, List<Need> needs) {
        this.doing = doing;
        this.guards = guards;
        this.actual = actual;
        this.meant = meant;
        this.needs = needs;
        actual.forEach(effect -> add(effect, touched, doneAt));
        meant.forEach(effect -> add(effect, targets, meantAt));
    }

    private static void add(Effect effect, BitSet to, Map<Integer, List<Effect>> at) {
        List<Effect> alone = List.of(effect);
        for (int variable : effect.touches()) {
            to.set(variable);
            at.merge(variable, alone, Transition::both);
        }
    }

    private static List<Effect> both(List<Effect> some, List<Effect> more) {
        List<Effect> both = new ArrayList<>(some);
        both.addAll(more);
        return both;
    }

    private static @Nullable Effect last(Map<Integer, List<Effect>> at, int variable) {
        List<Effect> all = at.get(variable);
        return all == null ? null : all.getLast();
    }

    /**
     * The variable that another one goes along with: the gesture is meant to choose that one of a family, and all that
     * is done or meant to the other is that it goes out. Where the chosen one is right, so is the other.
     */
    OptionalInt goesAlongWith(int variable) {
        return last(meantAt, variable) instanceof Effect.Move wanted
                        && wanted.place() != variable
                        && wanted.absolute()
                        && wanted.leaves(wanted.place()) != 0
                        && isSame(doneAt, variable, wanted.place())
                        && isSame(meantAt, variable, wanted.place())
                ? OptionalInt.of(wanted.place())
                : OptionalInt.empty();
    }

    private static boolean isSame(Map<Integer, List<Effect>> at, int one, int other) {
        List<Effect> there = at.get(one);
        List<Effect> here = at.get(other);
        if (there == null || here == null || there.size() != here.size()) {
            return false;
        }
        for (int i = 0; i < here.size(); i++) {
            if (here.get(i) != there.get(i)) {
                return false;
            }
        }
        return true;
    }

    /** Whether a variable is left in one way, however the rig stands, and that is what is meant. */
    boolean settlesAsMeant(int variable) {
        return last(doneAt, variable) instanceof Effect.Move done
                && last(meantAt, variable) instanceof Effect.Move wanted
                && done.absolute()
                && wanted.absolute()
                && done.leaves(variable) == wanted.leaves(variable);
    }

    /** Whether the last that is meant for a variable is about it, and does not only put it out. */
    boolean isAbout(int variable) {
        Effect last = last(meantAt, variable);
        return (last instanceof Effect.Within within ? within.effect() : last) instanceof Effect.Move wanted
                && wanted.place() == variable;
    }

    /** Whether it turns a variable round, or is meant to. */
    boolean turns(int variable) {
        return turns(doneAt, variable) || turns(meantAt, variable);
    }

    private static boolean turns(Map<Integer, List<Effect>> at, int variable) {
        for (Effect effect : at.getOrDefault(variable, List.of())) {
            if (effect.turns(variable)) {
                return true;
            }
        }
        return false;
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
