package embrack.core.sim;

import embrack.core.world.Place;
import java.util.List;
import java.util.SortedSet;

/** Puts what the trials showed into one word. */
final class Judge {

    private Judge() {}

    /** What the presses of a switch showed. */
    static Verdict verdict(SortedSet<Place> targets, SortedSet<Place> wrong, List<Trial> trials, boolean isLate) {
        if (!wrong.isEmpty()
                && trials.stream().anyMatch(Trial::anythingMoved)
                && wrong.stream().anyMatch(place -> trials.stream().anyMatch(trial -> trial.alternatesAt(place)))) {
            return Verdict.EVERY_OTHER;
        }
        return steadyVerdict(targets, wrong, trials, isLate);
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
        if (trials.stream().noneMatch(Trial::anythingMoved)) {
            return Verdict.DEAD;
        }
        if (wrong.stream().noneMatch(targets::contains)) {
            return Verdict.ALSO;
        }
        boolean wrongOnesMoved = trials.stream()
                .flatMap(trial -> trial.presses().stream())
                .anyMatch(press -> press.moved().stream().anyMatch(wrong::contains));
        return wrongOnesMoved || wrong.containsAll(targets) ? Verdict.WRONG : Verdict.PART;
    }
}
