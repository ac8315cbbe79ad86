package embrack.core.proof;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * What of a gesture decides how some variables stand after it.
 *
 * @param reads the variables that it reads from before
 * @param effects those that matter, in order
 * @param used all variables that these touch or read
 */
record Live(BitSet reads, List<Effect> effects, BitSet used) {

    /** Looks from the end: what is overwritten later does not matter. */
    static Live of(List<Effect> effects, BitSet wanted) {
        BitSet needed = (BitSet) wanted.clone();
        BitSet used = new BitSet();
        List<Effect> kept = new ArrayList<>();
        for (Effect effect : effects.reversed()) {
            BitSet read = new BitSet();
            boolean matters = false;
            int[] touches = effect.touches();
            for (int touched : touches) {
                if (needed.get(touched)) {
                    matters = true;
                    effect.addReads(touched, read);
                }
            }
            if (matters) {
                for (int touched : touches) {
                    used.set(touched);
                    if (needed.get(touched) && effect.settles(touched)) {
                        needed.clear(touched);
                    }
                }
                needed.or(read);
                used.or(read);
                kept.add(effect);
            }
        }
        return new Live(needed, kept.reversed(), used);
    }

    /** Does them to a state of all variables, and tells whether what comes last upon one of them is about it. */
    boolean runAt(int variable, int[] state) {
        boolean aims = false;
        for (Effect effect : effects) {
            Effect.Aim aim = effect.aim(variable, state);
            aims = aim == Effect.Aim.HITS || aims && aim == Effect.Aim.PASSES;
            effect.run(state);
        }
        return aims;
    }

    /** Does them to a state of all variables. */
    void run(int[] state) {
        for (Effect effect : effects) {
            effect.run(state);
        }
    }

    /** Sets all that they use to 0. */
    void clear(int[] state) {
        for (int variable = used.nextSetBit(0); variable >= 0; variable = used.nextSetBit(variable + 1)) {
            state[variable] = 0;
        }
    }
}
