package embrack.core.sim;

import embrack.core.switches.Moment;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.SortedSet;

/**
 * One press of a trial.
 *
 * @param number which, counted from 1
 * @param moment what was done with the switch
 * @param before the actual state before
 * @param ideal the state as it was meant to be afterwards
 * @param actual the state as it is afterwards
 */
public record Press(int number, Moment moment, World before, World ideal, World actual) {

    /** Where what happened is not what was meant. */
    public SortedSet<Place> differences() {
        return ideal.differences(actual);
    }

    /** What really moved. */
    public SortedSet<Place> moved() {
        return before.differences(actual);
    }
}
