package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.Obstacle;
import embrack.core.edit.SwitchEdit;
import embrack.core.name.Words;
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
        return new RuleInfo("switches.too-many-messages", "More messages than the board sends in one press");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.proofs().stream()
                .filter(proof -> !unsent(proof).isEmpty())
                .map(proof -> finding(subject.plan(), proof));
    }

    private Finding finding(Plan plan, Proof proof) {
        int most = plan.board(proof.at().board()).messagesPerPress();
        Optional<Remedy> hardware = new OtherHardware(plan, proof.at().board()).remedy();
        Moment moment = Proof.moments(proof.moment()).stream()
                .filter(m -> !unsent(proof, m).isEmpty())
                .findFirst()
                .orElseThrow();
        int from = proof.compiled().steps(moment).indexOf(unsent(proof, moment).getFirst());
        boolean alone =
                unsent(proof, moment).stream().anyMatch(step -> step.messages().size() > most);
        Optional<Remedy> remedy = Optional.of(proof.at())
                .filter(at -> !alone)
                .flatMap(at -> SpareSwitch.near(plan, at))
                .<Remedy>map(to -> new Remedy(
                        "Move the rest to " + SpareSwitch.words(plan, to, proof.at()),
                        new SwitchEdit.SpreadSteps(proof.at(), moment, from, to)))
                .or(() -> hardware);
        return new Finding(
                info(),
                Severity.STOPS,
                plan.words(proof.at()),
                "The switch needs %s; %s sends at most %d in one press."
                        .formatted(
                                Words.count(
                                        proof.steps().stream()
                                                .mapToInt(
                                                        step -> step.messages().size())
                                                .sum(),
                                        "message"),
                                plan.rig().name(proof.at().board()),
                                most),
                "These are never sent: %s."
                        .formatted(Words.list(unsent(proof).stream()
                                .map(step -> plan.words(step.step()))
                                .toList())),
                ("Share the steps out over two switches; store it as a scene or program in the receiver and "
                                + "recall that with one message; %s; "
                                + "or put a box in the way that makes many messages of one.")
                        .formatted(hardware.map(r -> "use hardware that sends more")
                                .orElse("use a board that sends more")),
                List.of(proof.at()),
                remedy);
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
