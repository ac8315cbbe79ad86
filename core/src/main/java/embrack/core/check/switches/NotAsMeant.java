package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.compile.CompiledStep;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Event;
import embrack.core.sim.Place;
import embrack.core.sim.Press;
import embrack.core.sim.Proof;
import embrack.core.sim.Reading;
import embrack.core.sim.Verdict;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** All messages are sent and arrive, and still something else happens than was meant. */
final class NotAsMeant implements Rule {

    private static final Set<Verdict> VERDICTS =
            EnumSet.of(Verdict.DEAD, Verdict.WRONG, Verdict.PART, Verdict.EVERY_OTHER);

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.not-as-meant", "What happens is not what was meant");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.proofs().stream()
                .filter(proof -> VERDICTS.contains(proof.verdict()))
                .filter(proof -> isUnexplained(subject.plan(), proof))
                .map(proof -> finding(subject.plan(), proof));
    }

    /** Whether no other rule has a better word for it. */
    private static boolean isUnexplained(Plan plan, Proof proof) {
        return Deafness.of(proof).findAny().isEmpty()
                && !usesContradictedLine(plan, proof)
                && !ModeUndoes.explains(plan, proof)
                && DeadInput.culprit(plan, proof).isEmpty();
    }

    private static boolean usesContradictedLine(Plan plan, Proof proof) {
        return proof.steps().stream()
                .map(CompiledStep::step)
                .anyMatch(step ->
                        plan.rig().model(step.device()).contradictedActions().contains(step.action()));
    }

    private Finding finding(Plan plan, Proof proof) {
        Press press = proof.tellingTrial().presses().stream()
                .filter(p -> !p.differences().isEmpty())
                .findFirst()
                .orElseThrow();
        Place place = press.differences().first();
        return new Finding(
                info(),
                Severity.STOPS,
                plan.words(proof.at()),
                "After press %d, %s of %s is %s; %s was meant."
                        .formatted(
                                press.number(),
                                plan.rig().partName(place.device(), place.part()),
                                plan.rig().name(place.device()),
                                place.aspect().word(press.actual().value(place)),
                                place.aspect().word(press.ideal().value(place))),
                why(plan, proof, place),
                "Give boxes that hear the same cable channels of their own; if the board has one channel only, use one"
                        + " where each message has its own.",
                List.of(proof.at()),
                Optional.empty());
    }

    private static String why(Plan plan, Proof proof, Place place) {
        return proof.trace().stream()
                .filter(event -> decides(event, place))
                .reduce((first, last) -> last)
                .map(event -> "%s hears %s%s and does what it says."
                        .formatted(
                                plan.rig().name(place.device()),
                                event.message().hex(),
                                meantFor(plan, proof, event.message(), place.device())))
                .orElse("Nothing that arrives at %s is about this part."
                        .formatted(plan.rig().name(place.device())));
    }

    private static boolean decides(Event event, Place place) {
        return event instanceof Event.Arrived arrived
                && arrived.socket().device().equals(place.device())
                && arrived.reading() instanceof Reading.Acts acts
                && acts.actions().stream().anyMatch(action -> action.part().equals(place.part()));
    }

    private static String meantFor(Plan plan, Proof proof, Message message, DeviceId hearer) {
        return proof.steps().stream()
                .filter(step -> step.messages().contains(message))
                .map(step -> step.step().device())
                .filter(device -> !device.equals(hearer))
                .findFirst()
                .map(device -> ", which is meant for %s,".formatted(plan.rig().name(device)))
                .orElse("");
    }
}
