package embrack.core.sim;

import embrack.core.plan.CompiledSwitch;
import java.util.List;
import java.util.SortedSet;

/** Puts what the trials showed into one word. */
final class Judge {

    private Judge() {
    }

    static Verdict verdict(CompiledSwitch compiled, SortedSet<Place> targets, SortedSet<Place> wrong, List<Trial> trials, long worstMicros) {
        if (compiled.isObstructed()) {
            return Verdict.NO_WAY;
        }
        if (wrong.isEmpty()) {
            return worstMicros > Prover.LATEST_MICROS ? Verdict.LATE : Verdict.EXACT;
        }
        if (trials.stream().noneMatch(Trial::anythingMoved)) {
            return Verdict.DEAD;
        }
        if (wrong.stream().anyMatch(place -> trials.stream().anyMatch(trial -> trial.alternatesAt(place)))) {
            return Verdict.EVERY_OTHER;
        }
        return steady(targets, trials, wrong);
    }

    private static Verdict steady(SortedSet<Place> targets, List<Trial> trials, SortedSet<Place> wrong) {
        if (wrong.stream().noneMatch(targets::contains)) {
            return Verdict.ALSO;
        }
        boolean wrongOnesMoved = trials.stream().flatMap(trial -> trial.presses().stream())
                .anyMatch(press -> press.moved().stream().anyMatch(wrong::contains));
        return wrongOnesMoved || wrong.containsAll(targets) ? Verdict.WRONG : Verdict.PART;
    }
}
