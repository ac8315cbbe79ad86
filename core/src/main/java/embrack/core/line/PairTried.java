package embrack.core.line;

import java.util.Collections;
import java.util.OptionalLong;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What somebody saw as a lead of the first of a pair was pulled.
 *
 * @param planned what {@link PairTrial#written()} said then
 * @param gapMicros how long nothing came until it went on, in microseconds; empty where that was not measured
 * @param lost the keys of what did not go on
 * @param isBack whether the first played again once its lead was in again
 */
public record PairTried(String planned, OptionalLong gapMicros, SortedSet<String> lost, boolean isBack) {

    public PairTried {
        lost = Collections.unmodifiableSortedSet(new TreeSet<>(lost));
    }

    /** Whether all of it went on, and the way back was found. */
    public boolean isGood() {
        return lost.isEmpty() && isBack;
    }

    /** Whether it is about what is planned now. */
    public boolean isOf(PairTrial trial) {
        return planned.equals(trial.written());
    }
}
