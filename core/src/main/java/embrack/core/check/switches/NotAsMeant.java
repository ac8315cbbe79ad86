package embrack.core.check.switches;

import embrack.core.chart.PartId;
import embrack.core.chart.Standing.Loading;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.CompiledStep;
import embrack.core.edit.NumberEdit;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Proof;
import embrack.core.sim.Retold;
import embrack.core.sim.Verdict;
import embrack.core.word.Fact;
import embrack.core.world.Place;
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
        return new RuleInfo(Topic.SWITCHES, "not-as-meant");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.proofs().stream()
                .filter(proof -> VERDICTS.contains(proof.verdict()))
                .filter(proof ->
                        proof.broken().filter(broken -> !broken.standsStill()).isPresent())
                .filter(proof -> isUnexplained(subject.plan(), proof))
                .map(proof -> finding(subject, proof));
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

    private Finding finding(Subject subject, Proof proof) {
        Plan plan = subject.plan();
        Broken broken = proof.broken().orElseThrow();
        Place place = broken.place();
        Found found = found(subject.severity(proof))
                .about(proof.at())
                .with("story", broken.phrase(plan))
                .with("device", place.device())
                .with("place", new Fact.PartOf(place.device(), place.part()))
                .word("actual", place.aspect().word(broken.actual()))
                .word("meant", place.aspect().word(broken.meant()));
        Retold retold = Retold.of(plan, subject.ways(), broken);
        Optional<Integer> unwritten = retold.unwritten(place.device());
        if (unwritten.isPresent()) {
            int last = Math.max(unwritten.get(), lastLoaded(plan, place.device()));
            return found.cause("unwritten")
                    .with("memory", unwritten.get())
                    .with("last", last)
                    .mend("write", new NumberEdit.UseMemories(place.device(), String.valueOf(last)))
                    .made();
        }
        Optional<Message> otherwise = retold.readByWhatCameBefore(place.device());
        if (otherwise.isPresent()) {
            boolean bank = otherwise.get().type() == MessageType.PROGRAM_CHANGE;
            return found.cause(bank ? "bank" : "before")
                    .with("message", otherwise.get().hex())
                    .made();
        }
        Optional<Message> decisive = retold.decisive();
        Optional<DeviceId> other = decisive.flatMap(message -> meantFor(proof, message, place.device()));
        decisive.ifPresent(message -> found.with("message", message.hex()));
        other.ifPresent(device -> found.with("meant-for", device));
        return found.cause(decisive.isEmpty() ? "nothing" : other.isEmpty() ? "hears" : "hears-anothers")
                .made();
    }

    /** The last memory of a device that any switch or cue loads, from 1; 0 when none does. */
    private static int lastLoaded(Plan plan, DeviceId device) {
        List<PartId> memories = plan.rig()
                .model(device)
                .standing()
                .loading()
                .map(Loading::memories)
                .orElse(List.of());
        return Stream.concat(
                        plan.switches().assignments().stream().flatMap(a -> a.steps().stream()),
                        plan.book().cues().stream().flatMap(cue -> cue.steps().stream()))
                .filter(step -> step.device().equals(device))
                .mapToInt(step -> memories.indexOf(step.action().part()) + 1)
                .max()
                .orElse(0);
    }

    private static Optional<DeviceId> meantFor(Proof proof, Message message, DeviceId hearer) {
        return proof.steps().stream()
                .filter(step -> step.messages().contains(message))
                .map(step -> step.step().device())
                .filter(device -> !device.equals(hearer))
                .findFirst();
    }
}
