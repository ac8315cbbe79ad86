package embrack.core.check.switches;

import embrack.core.check.remedy.OtherHardware;
import embrack.core.check.remedy.Spare;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.Obstacle;
import embrack.core.edit.SwitchEdit;
import embrack.core.midi.MessageType;
import embrack.core.offer.SpareSwitch;
import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import embrack.core.switches.Moment;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A press has more steps than the board sends messages. */
final class TooManyMessages implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "too-many-messages");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.proofs().stream()
                .filter(proof -> !unsent(proof).isEmpty())
                .map(proof -> finding(subject.plan(), proof));
    }

    private Finding finding(Plan plan, Proof proof) {
        Moment moment = Proof.moments(proof.moment()).stream()
                .filter(m -> !unsent(proof, m).isEmpty())
                .findFirst()
                .orElseThrow();
        Obstacle.OneTooMany obstacle = (Obstacle.OneTooMany)
                unsent(proof, moment).getFirst().obstacle().orElseThrow();
        int from = proof.compiled().steps(moment).indexOf(unsent(proof, moment).getFirst());
        boolean alone = unsent(proof, moment).stream().anyMatch(step -> counted(step, obstacle) > obstacle.most());
        Optional<Remedy> remedy = Optional.of(proof.at())
                .filter(at -> !alone)
                .flatMap(at -> SpareSwitch.near(plan, at))
                .<Remedy>map(to -> new Remedy("move-rest", new SwitchEdit.SpreadSteps(proof.at(), moment, from, to))
                        .with("to", Spare.phrase(plan, to, proof.at())));
        return found(Severity.STOPS)
                .about(proof.at())
                .with("board", proof.at().board())
                .with(
                        "needs",
                        proof.steps().stream()
                                .mapToInt(step -> counted(step, obstacle))
                                .sum())
                .with("of", obstacle.of().map(MessageType::plural).orElse("messages"))
                .with("most", obstacle.most())
                .with("unsent", unsent(proof).stream().map(CompiledStep::step).toList())
                .mend(remedy)
                .mend(OtherHardware.instead(plan, proof.at().board()))
                .made();
    }

    /** How many of a step's messages count against the limit. */
    private static int counted(CompiledStep step, Obstacle.OneTooMany obstacle) {
        return (int) step.messages().stream()
                .filter(message ->
                        obstacle.of().filter(type -> type != message.type()).isEmpty())
                .count();
    }

    private static List<CompiledStep> unsent(Proof proof) {
        return Proof.moments(proof.moment()).stream()
                .flatMap(moment -> unsent(proof, moment).stream())
                .toList();
    }

    private static List<CompiledStep> unsent(Proof proof, Moment moment) {
        return proof.compiled().steps(moment).stream()
                .filter(step -> step.obstacle()
                        .filter(Obstacle.OneTooMany.class::isInstance)
                        .isPresent())
                .toList();
    }
}
