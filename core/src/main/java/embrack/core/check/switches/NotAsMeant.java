package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.CompiledStep;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.word.Fact;
import embrack.core.world.Happened;
import embrack.core.world.Place;
import embrack.core.world.Reading;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** All messages are sent and arrive, and still something else happens than was meant. */
final class NotAsMeant implements Rule {

    private static final Set<Verdict> VERDICTS =
            EnumSet.of(Verdict.DEAD, Verdict.WRONG, Verdict.PART, Verdict.EVERY_OTHER);

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "not-as-meant");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.proofs().stream()
                .filter(proof -> VERDICTS.contains(proof.verdict()))
                .filter(proof ->
                        proof.broken().filter(broken -> !broken.standsStill()).isPresent())
                .filter(proof -> isUnexplained(subject.plan(), proof))
                .map(proof -> finding(subject.plan(), proof, subject.severity(proof)));
    }

    /** Whether no other rule has a better word for it. */
    private static boolean isUnexplained(Plan plan, Proof proof) {
        return Deafness.of(proof).findAny().isEmpty()
                && !usesContradictedLine(plan, proof)
                && !ModeUndoes.explains(plan, proof)
                && !TurnsRound.explains(plan, proof)
                && DeadInput.culprit(plan, proof).isEmpty();
    }

    private static boolean usesContradictedLine(Plan plan, Proof proof) {
        return proof.steps().stream()
                .map(CompiledStep::step)
                .anyMatch(step ->
                        plan.rig().model(step.device()).contradictedActions().contains(step.action()));
    }

    private Finding finding(Plan plan, Proof proof, Severity severity) {
        Broken broken = proof.broken().orElseThrow();
        Place place = broken.place();
        Found found = found(severity)
                .about(proof.at())
                .with("story", broken.phrase(plan))
                .with("device", place.device())
                .with("place", new Fact.PartOf(place.device(), place.part()))
                .word("actual", place.aspect().word(broken.actual()))
                .word("meant", place.aspect().word(broken.meant()));
        Optional<Message> decisive = proof.trace().stream()
                .filter(event -> decides(event, place))
                .reduce((first, last) -> last)
                .map(Happened::message);
        Optional<DeviceId> other = decisive.flatMap(message -> meantFor(proof, message, place.device()));
        decisive.ifPresent(message -> found.with("message", message.hex()));
        other.ifPresent(device -> found.with("meant-for", device));
        return found.cause(decisive.isEmpty() ? "nothing" : other.isEmpty() ? "hears" : "hears-anothers")
                .made();
    }

    private static boolean decides(Happened event, Place place) {
        return event instanceof Happened.Arrived arrived
                && arrived.socket().device().equals(place.device())
                && arrived.reading() instanceof Reading.Acts acts
                && acts.actions().stream().anyMatch(action -> action.part().equals(place.part()));
    }

    private static Optional<DeviceId> meantFor(Proof proof, Message message, DeviceId hearer) {
        return proof.steps().stream()
                .filter(step -> step.messages().contains(message))
                .map(step -> step.step().device())
                .filter(device -> !device.equals(hearer))
                .findFirst();
    }
}
