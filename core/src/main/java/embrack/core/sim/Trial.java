package embrack.core.sim;

import embrack.core.switches.Moment;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;

/** The same switch pressed several times, from one start. */
public record Trial(World start, List<Press> presses) {

    public Trial {
        presses = List.copyOf(presses);
    }

    /** Every place that was wrong after any press of any of these trials. */
    static SortedSet<Place> wrongPlaces(List<Trial> trials) {
        SortedSet<Place> wrong = new TreeSet<>();
        trials.forEach(trial -> trial.presses().stream()
                .filter(press -> press.ideal().differs(press.actual()))
                .forEach(press -> wrong.addAll(press.differences())));
        return wrong;
    }

    boolean anythingMoved() {
        return presses.stream().anyMatch(press -> press.before().differs(press.actual()));
    }

    /** Whether a place is right after some presses and wrong after others. */
    boolean alternatesAt(Place place) {
        return presses.stream()
                        .filter(press -> press.moment() != Moment.RELEASE)
                        .map(press -> press.differences().contains(place))
                        .distinct()
                        .count()
                > 1;
    }
}
