package embrack.core.proof;

import embrack.core.chart.Verb;
import embrack.core.level.Takeover;
import java.util.Arrays;
import java.util.BitSet;

/**
 * A part of what a gesture does, on states of all variables. It says what it touches and what it reads to do so, so
 * that what decides about one variable can be told apart from all that does not.
 */
interface Effect {

    /** What it may change. */
    int[] touches();

    /** What it may bring to anything but 0. */
    default int[] raises() {
        return touches();
    }

    /** How an effect comes upon a variable. */
    enum Aim {
        /** It is about it. */
        HITS,
        /** It is about another one, and puts this one out. */
        PUTS_OUT,
        PASSES
    }

    /** How it comes upon a variable in a state. */
    default Aim aim(int variable, int[] state) {
        return isIn(variable, touches()) ? Aim.HITS : Aim.PASSES;
    }

    private static boolean isIn(int variable, int[] variables) {
        for (int one : variables) {
            if (one == variable) {
                return true;
            }
        }
        return false;
    }

    /** Whether it turns a variable round. */
    default boolean turns(int variable) {
        return false;
    }

    /** Whether it always overwrites one of the variables that it touches. */
    boolean settles(int touched);

    /** What it reads to change one of the variables that it touches. */
    int[] reads(int touched);

    /** Adds what it reads to change one of the variables that it touches. */
    default void addReads(int touched, BitSet to) {
        for (int variable : reads(touched)) {
            to.set(variable);
        }
    }

    /** Does it. */
    void run(int[] state);

    /** A value is written. */
    record Write(int variable, int value) implements Effect {

        @Override
        public int[] touches() {
            return new int[] {variable};
        }

        @Override
        public int[] raises() {
            return value == 0 ? NOTHING : touches();
        }

        @Override
        public boolean settles(int touched) {
            return true;
        }

        @Override
        public int[] reads(int touched) {
            return NOTHING;
        }

        @Override
        public void run(int[] state) {
            state[variable] = value;
        }
    }

    /** A verb is done to a place; what it puts out goes to 0. */
    record Move(int place, Verb verb, int amount, int[] out, boolean absolute) implements Effect {

        Move(int place, Verb verb, int amount, int[] out) {
            this(place, verb, amount, out, verb.leaves(amount).isPresent());
        }

        /** What it leaves at a variable that it touches, if it is absolute. */
        int leaves(int touched) {
            return touched == place ? verb.applyTo(0, amount) : 0;
        }

        private boolean putsOut() {
            return out.length > 0 && (!absolute || verb == Verb.STOP_ALL || verb.applyTo(0, amount) != 0);
        }

        @Override
        public int[] touches() {
            if (!putsOut()) {
                return new int[] {place};
            }
            int[] touched = Arrays.copyOf(out, out.length + 1);
            touched[out.length] = place;
            return touched;
        }

        @Override
        public int[] raises() {
            return new int[] {place};
        }

        @Override
        public Aim aim(int variable, int[] state) {
            if (variable == place) {
                return Aim.HITS;
            }
            boolean puts = verb == Verb.STOP_ALL || verb.applyTo(state[place], amount) != 0;
            return puts && isIn(variable, out) ? Aim.PUTS_OUT : Aim.PASSES;
        }

        @Override
        public boolean turns(int variable) {
            return variable == place && !absolute;
        }

        @Override
        public boolean settles(int touched) {
            return absolute;
        }

        @Override
        public int[] reads(int touched) {
            return absolute ? NOTHING : touched == place ? new int[] {place} : new int[] {place, touched};
        }

        @Override
        public void run(int[] state) {
            state[place] = verb.applyTo(state[place], amount);
            if (out.length > 0 && (state[place] != 0 || verb == Verb.STOP_ALL)) {
                for (int other : out) {
                    state[other] = 0;
                }
            }
        }
    }

    /** A level comes in where a control takes over. */
    record Approach(int place, int came, Takeover takeover, int level) implements Effect {

        @Override
        public int[] touches() {
            return new int[] {place, came};
        }

        @Override
        public boolean settles(int touched) {
            return touched == came;
        }

        @Override
        public int[] reads(int touched) {
            return touched == came ? NOTHING : new int[] {place, came};
        }

        @Override
        public void run(int[] state) {
            int last = state[came] == 0 ? state[place] : state[came] - 1;
            state[place] = takeover.level(last, state[place], level);
            state[came] = level + 1;
        }
    }

    /** Something is done only while a place is chosen. */
    record Within(int chosen, Effect effect) implements Effect {

        @Override
        public int[] touches() {
            return effect.touches();
        }

        @Override
        public int[] raises() {
            return effect.raises();
        }

        @Override
        public Aim aim(int variable, int[] state) {
            return state[chosen] == 0 ? Aim.PASSES : effect.aim(variable, state);
        }

        @Override
        public boolean turns(int variable) {
            return effect.turns(variable);
        }

        @Override
        public boolean settles(int touched) {
            return false;
        }

        @Override
        public int[] reads(int touched) {
            int[] read = effect.reads(touched);
            int[] more = Arrays.copyOf(read, read.length + 2);
            more[read.length] = chosen;
            more[read.length + 1] = touched;
            return more;
        }

        @Override
        public void run(int[] state) {
            if (state[chosen] != 0) {
                effect.run(state);
            }
        }
    }

    int[] NOTHING = {};
}
