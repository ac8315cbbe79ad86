package embrack.core.check.controls;

import embrack.core.check.remedy.OtherNumber;
import embrack.core.check.remedy.OwnChannel;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Cause;
import embrack.core.sim.ControlProof;
import embrack.core.sim.Verdict;
import embrack.core.word.Fact;
import embrack.core.world.Place;
import java.util.List;
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
                .filter(proof -> proof.verdict() == Verdict.NOT_KNOWN
                        || subject.blames().stream()
                                .anyMatch(blame ->
                                        blame.control().equals(Optional.of(proof.at())) && isOurs(blame.cause())))
                .map(proof -> finding(subject, proof));
    }

    /** Whether no other rule has a better word for it. */
    private static boolean isOurs(Cause cause) {
        return switch (cause) {
            case Cause.Overheard c -> true;
            case Cause.LearnedTwice c -> true;
            case Cause.Unwritten c -> true;
            case Cause.ReadByBefore c -> true;
            case Cause.Deaf c -> true;
            case Cause.NotReached c -> true;
            case Cause.Nothing c -> true;
            default -> false;
        };
    }

    private Finding finding(Subject subject, ControlProof proof) {
        Plan plan = subject.plan();
        List<Fact> wrong = proof.wrongPlaces().stream()
                .<Fact>map(place -> new Fact.PartOf(place.device(), place.part()))
                .distinct()
                .toList();
        boolean also = proof.verdict() == Verdict.ALSO;
        List<DeviceId> devices = Stream.concat(
                        proof.wrongPlaces().stream().map(Place::device),
                        proof.targets().stream().map(Place::device))
                .distinct()
                .toList();
        List<Message> messages = proof.compiled().targets().stream()
                .flatMap(target -> target.at().stream().limit(1))
                .toList();
        return found(also ? Severity.LOOK : Severity.STOPS)
                .with("control", proof.at())
                .cause(also ? "also" : proof.verdict() == Verdict.NOT_KNOWN ? "comes-round" : "otherwise")
                .with("places", wrong)
                .mend(OtherNumber.instead(plan, devices, messages))
                .mend(OwnChannel.of(plan, devices))
                .made();
    }
}
