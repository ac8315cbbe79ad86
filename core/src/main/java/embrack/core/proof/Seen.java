package embrack.core.proof;

import embrack.core.switches.Moment;
import embrack.core.world.Place;
import java.util.Optional;

/**
 * What one gesture does at one place, in all states that the rig can reach.
 *
 * @param right whether there is a state in which it does what it should, and does something
 * @param moved whether the place ever changes by it
 * @param bySide whether a side decides: it is right while something that alternates is at one, wrong at the other
 * @param states how many states were looked at; 1 where none can matter
 * @param whole whether these are all
 * @param broken the shortest story in which it fails, if there is any
 */
public record Seen(
        Doing gesture,
        Place place,
        boolean right,
        boolean moved,
        boolean bySide,
        int states,
        boolean whole,
        Optional<Broken> broken) {

    /** Whether the gesture is what a foot does at a moment. */
    public boolean isAt(Moment moment) {
        return gesture instanceof Doing.Foot foot && foot.moment() == moment;
    }

    /** A gesture that does what it should however the rig stands. */
    static Seen always(Doing gesture, Place place) {
        return new Seen(gesture, place, true, true, false, 1, true, Optional.empty());
    }

    /** A gesture that is meant to do nothing in the end, and does nothing. */
    static Seen never(Doing gesture, Place place) {
        return new Seen(gesture, place, false, false, false, 1, true, Optional.empty());
    }
}
