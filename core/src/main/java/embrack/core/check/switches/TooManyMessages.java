package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.name.Words;
import embrack.core.plan.CompiledStep;
import embrack.core.plan.Obstacle;
import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A press has more steps than the board sends messages. */
final class TooManyMessages implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.too-many-messages", "More messages than the board sends in one press");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.proofs().stream().filter(proof -> !unsent(proof).isEmpty()).map(proof -> finding(subject.plan(), proof));
    }

    private Finding finding(Plan plan, Proof proof) {
        int most = plan.board(proof.at().board()).messagesPerPress();
        Optional<Remedy> remedy = new OtherHardware(plan, proof.at().board()).remedy();
        return new Finding(info(), Severity.STOPS, plan.words(proof.at()),
                "The switch needs %s; %s sends at most %d in one press.".formatted(
                        Words.count(proof.compiled().steps().stream().mapToInt(step -> step.messages().size()).sum(), "message"), plan.rig().name(proof.at().board()), most),
                "These are never sent: %s.".formatted(
                        Words.list(unsent(proof).stream().map(step -> plan.words(step.step())).toList())),
                "Share the steps out over two switches" + remedy.map(r -> ", or have hardware that sends more do the job.").orElse("."),
                List.of(proof.at()), remedy);
    }

    private static List<CompiledStep> unsent(Proof proof) {
        return proof.compiled().steps().stream()
                .filter(step -> step.obstacle().filter(Obstacle.OneTooMany.class::isInstance).isPresent()).toList();
    }
}
