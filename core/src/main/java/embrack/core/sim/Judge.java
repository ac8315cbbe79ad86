package embrack.core.sim;

import embrack.core.proof.Broken;
import embrack.core.proof.Seen;
import embrack.core.switches.Moment;
import embrack.core.world.Place;
import java.util.List;
import java.util.SortedSet;

/** Puts what the trials showed into one word. */
final class Judge {

    private Judge() {}

    /** What the gestures of a switch showed, in all states. */
    static Verdict verdict(SortedSet<Place> targets, SortedSet<Place> wrong, List<Seen> seen, boolean isLate) {
        boolean anythingMoved = seen.stream().anyMatch(Seen::moved);
        if (wrong.isEmpty()) {
            return !targets.isEmpty() && !anythingMoved
                    ? Verdict.SHOWN_NOTHING
                    : isLate ? Verdict.LATE : seen.stream().allMatch(Seen::whole) ? Verdict.EXACT : Verdict.TRIED;
        }
        if (anythingMoved && wrong.stream().anyMatch(place -> isBySide(place, seen))) {
            return Verdict.EVERY_OTHER;
        }
        if (seen.stream().flatMap(s -> s.broken().stream()).allMatch(Broken::standsStill)) {
            return Verdict.PART;
        }
        boolean wrongOnesMoved = seen.stream().anyMatch(s -> s.moved() && wrong.contains(s.place()));
        return steady(targets, wrong, anythingMoved, wrongOnesMoved);
    }

    /** Whether a place is right while something alternates at one side, and wrong at the other. */
    private static boolean isBySide(Place place, List<Seen> seen) {
        List<Seen> here = seen.stream()
                .filter(s -> s.place().equals(place)
                        && s.broken().filter(Broken::standsStill).isEmpty())
                .toList();
        return here.stream().anyMatch(Seen::bySide)
                || here.stream()
                        .anyMatch(one -> here.stream()
                                .anyMatch(other -> one.isAt(Moment.PRESS)
                                        && other.isAt(Moment.AGAIN)
                                        && one.broken().isPresent()
                                                != other.broken().isPresent()));
    }

    /** What can be said where messages come round: what is wrong already is wrong, else nobody knows. */
    static Verdict unknown(Verdict proven) {
        return proven.compareTo(Verdict.NOT_KNOWN) < 0 ? Verdict.NOT_KNOWN : proven;
    }

    /** What a movement showed, for which being right at some positions is not being right at all. */
    static Verdict steadyVerdict(SortedSet<Place> targets, SortedSet<Place> wrong, List<Trial> trials, boolean isLate) {
        if (wrong.isEmpty()) {
            return isLate ? Verdict.LATE : Verdict.EXACT;
        }
        boolean wrongOnesMoved = trials.stream()
                .flatMap(trial -> trial.presses().stream())
                .anyMatch(press -> press.moved().stream().anyMatch(wrong::contains));
        return steady(targets, wrong, trials.stream().anyMatch(Trial::anythingMoved), wrongOnesMoved);
    }

    private static Verdict steady(
            SortedSet<Place> targets, SortedSet<Place> wrong, boolean anythingMoved, boolean wrongOnesMoved) {
        if (!anythingMoved) {
            return Verdict.DEAD;
        }
        if (wrong.stream().noneMatch(targets::contains)) {
            return Verdict.ALSO;
        }
        return wrongOnesMoved || wrong.containsAll(targets) ? Verdict.WRONG : Verdict.PART;
    }
}
