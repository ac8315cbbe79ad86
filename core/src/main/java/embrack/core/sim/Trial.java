package embrack.core.sim;

import java.util.List;

/** The same switch pressed several times, from one start. */
public record Trial(RigState start, List<Press> presses) {

    public Trial {
        presses = List.copyOf(presses);
    }

    boolean anythingMoved() {
        return presses.stream().anyMatch(press -> !press.moved().isEmpty());
    }

    /** Whether a place is right after some presses and wrong after others. */
    boolean alternatesAt(Place place) {
        return presses.stream().map(press -> press.differences().contains(place)).distinct().count() > 1;
    }
}
