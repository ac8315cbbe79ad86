package embrack.core.check.control;

import embrack.core.chart.Learned;
import embrack.core.chart.LessonId;
import embrack.core.chart.Verb;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.edit.Edit;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.Refused;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Place;
import embrack.core.sim.Prover;
import embrack.core.sim.TravelProof;
import embrack.core.sim.Verdict;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** A treadle, fader or knob moves something else, or not what it should. */
final class ControlNotAsMeant implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("controls.not-as-meant", "A control does not move what it should, or more");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.travels().stream()
                .filter(proof -> proof.verdict() != Verdict.EXACT && proof.verdict() != Verdict.NO_WAY)
                .map(proof -> finding(subject.plan(), proof));
    }

    private Finding finding(Plan plan, TravelProof proof) {
        List<String> wrong = proof.wrongPlaces().stream()
                .map(place -> "%s of %s"
                        .formatted(
                                plan.rig().partName(place.device(), place.part()),
                                plan.rig().name(place.device())))
                .distinct()
                .toList();
        boolean also = proof.verdict() == Verdict.ALSO;
        return new Finding(
                info(),
                also ? Severity.LOOK : Severity.STOPS,
                plan.words(proof.at()),
                also
                        ? "It moves more than it should: %s.".formatted(Words.list(wrong))
                        : "From heel to toe and back, %s is not where it was meant.".formatted(Words.list(wrong)),
                also
                        ? "They answer to the same number on the same channel."
                        : "What arrives means something else to the box.",
                "Keep the numbers apart: choose another for one of them.",
                List.of(),
                remedy(plan, proof));
    }

    /** Another number for what this moves, or for what it also moves; whichever makes it right. */
    private static Optional<Remedy> remedy(Plan plan, TravelProof proof) {
        Stream<DeviceId> devices = Stream.concat(
                        proof.compiled().travel().targets().stream().map(t -> t.device()),
                        proof.wrongPlaces().stream().map(Place::device))
                .distinct();
        return devices.flatMap(device -> plan.rig().device(device).learned().entrySet().stream()
                        .filter(e -> isConcerned(proof, device, e))
                        .<Edit>map(e -> new NumberEdit.PinNumber(
                                device, e.getKey(), e.getValue().type(), "", "")))
                .filter(edit -> works(plan, edit, proof))
                .findFirst()
                .map(edit -> new Remedy("Choose another number", edit));
    }

    private static boolean isConcerned(TravelProof proof, DeviceId device, Map.Entry<LessonId, Learned> learned) {
        return Stream.concat(proof.targets().stream(), proof.wrongPlaces().stream())
                .anyMatch(place -> place.device().equals(device)
                        && place.part().equals(learned.getKey().part())
                        && (place.aspect() != Verb.LEVEL.aspect()
                                || learned.getKey().verb() == Verb.LEVEL));
    }

    private static boolean works(Plan plan, Edit edit, TravelProof proof) {
        try {
            Plan mended = edit.apply(plan);
            return new Prover(mended).prove(mended.switches().at(proof.at())).verdict() == Verdict.EXACT;
        } catch (Refused e) {
            return false;
        }
    }
}
