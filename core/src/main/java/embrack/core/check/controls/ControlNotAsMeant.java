package embrack.core.check.controls;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.Verb;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.Edit;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.Refused;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.ControlProof;
import embrack.core.sim.Prover;
import embrack.core.sim.Verdict;
import embrack.core.word.Fact;
import embrack.core.world.Place;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** A treadle, fader or knob moves something else, or not what it should. */
final class ControlNotAsMeant implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.CONTROLS, "not-as-meant");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.controlAssignments().stream()
                .filter(proof -> proof.verdict() != Verdict.EXACT && proof.verdict() != Verdict.NO_WAY)
                .map(proof -> finding(subject.plan(), proof));
    }

    private Finding finding(Plan plan, ControlProof proof) {
        List<Fact> wrong = proof.wrongPlaces().stream()
                .<Fact>map(place -> new Fact.PartOf(place.device(), place.part()))
                .distinct()
                .toList();
        boolean also = proof.verdict() == Verdict.ALSO;
        return found(also ? Severity.LOOK : Severity.STOPS)
                .with("control", proof.at())
                .cause(also ? "also" : proof.verdict() == Verdict.NOT_KNOWN ? "comes-round" : "otherwise")
                .with("places", wrong)
                .mend(remedy(plan, proof))
                .made();
    }

    /** Another number for what this moves, or for what it also moves; whichever makes it right. */
    private static Optional<Remedy> remedy(Plan plan, ControlProof proof) {
        Stream<DeviceId> devices = Stream.concat(
                        proof.compiled().controlAssignment().targets().stream().map(t -> t.device()),
                        proof.wrongPlaces().stream().map(Place::device))
                .distinct();
        return devices.flatMap(device -> plan.rig().device(device).learned().entrySet().stream()
                        .filter(e -> isConcerned(proof, device, e))
                        .<Edit>map(e -> new NumberEdit.PinNumber(
                                device, e.getKey(), e.getValue().type(), "", "")))
                .filter(edit -> works(plan, edit, proof))
                .findFirst()
                .map(edit -> new Remedy("choose-number", edit));
    }

    private static boolean isConcerned(ControlProof proof, DeviceId device, Map.Entry<LearnableId, Learned> learned) {
        return Stream.concat(proof.targets().stream(), proof.wrongPlaces().stream())
                .anyMatch(place -> place.device().equals(device)
                        && place.part().equals(learned.getKey().part())
                        && (place.aspect() != Verb.LEVEL.aspect()
                                || learned.getKey().verb() == Verb.LEVEL));
    }

    private static boolean works(Plan plan, Edit edit, ControlProof proof) {
        try {
            Plan mended = edit.apply(plan);
            return new Prover(mended).prove(mended.switches().at(proof.at())).verdict() == Verdict.EXACT;
        } catch (Refused e) {
            return false;
        }
    }
}
