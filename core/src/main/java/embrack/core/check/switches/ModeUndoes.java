package embrack.core.check.switches;

import embrack.core.chart.LearnableId;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.CompiledStep;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.SwitchMode;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What the switch sends by itself, on release or at every second press, undoes what it is for. */
final class ModeUndoes implements Rule {

    private static final Set<Verdict> VERDICTS =
            EnumSet.of(Verdict.EVERY_OTHER, Verdict.WRONG, Verdict.PART, Verdict.DEAD, Verdict.ALSO);

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "mode-undoes");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<DeviceId, Optional<Remedy>> boards = new HashMap<>();
        return subject.proofs().stream()
                .filter(proof -> explains(subject.plan(), proof))
                .map(proof -> finding(
                        subject.plan(),
                        proof,
                        subject.severity(proof),
                        remedy(subject.plan(), proof)
                                .or(() -> boards.computeIfAbsent(
                                        proof.at().board(), board -> otherBoard(subject.plan(), proof)))));
    }

    /**
     * Whether the mode alone is to blame: the press itself does what it should in every state, so that as a one-shot,
     * or with an input that takes both values alike, the switch would.
     */
    static boolean explains(Plan plan, Proof proof) {
        return VERDICTS.contains(proof.verdict())
                && proof.moment() == Moment.PRESS
                && !proof.compiled().byItself().isEmpty()
                && proof.seen().stream()
                        .allMatch(seen ->
                                !seen.isAt(Moment.PRESS) || seen.broken().isEmpty())
                && (remedy(plan, proof).isPresent()
                        || new OtherHardware(plan, proof.at().board())
                                .remedy(board -> board.modes().contains(SwitchMode.ONE_SHOT))
                                .isPresent());
    }

    /** One-shot, where the board knows it; else an input of the receiver that takes the other value for the same. */
    private static Optional<Remedy> remedy(Plan plan, Proof proof) {
        if (plan.board(proof.at().board()).modes().contains(SwitchMode.ONE_SHOT)) {
            return Optional.of(
                    new Remedy("one-shot", new SwitchEdit.ChooseMode(proof.at(), Optional.of(SwitchMode.ONE_SHOT))));
        }
        List<Step> steps = proof.steps().stream().map(CompiledStep::step).toList();
        return steps.size() == 1 ? lowValue(plan, steps.getFirst()) : Optional.empty();
    }

    private static Optional<Remedy> lowValue(Plan plan, Step step) {
        LearnableId learnable = LearnableId.of(step.action());
        return Optional.ofNullable(plan.rig().device(step.device()).learned().get(learnable))
                .filter(learned -> !learned.response().alternating()
                        && step.action().verb().leaves(0).isPresent()
                        && !step.action().verb().takesAmount())
                .map(learned ->
                        new Remedy("low-value", new NumberEdit.Respond(step.device(), learnable, false, "127", "127")));
    }

    private static Optional<Remedy> otherBoard(Plan plan, Proof proof) {
        return new OtherHardware(plan, proof.at().board())
                .remedy(board -> board.modes().contains(SwitchMode.ONE_SHOT))
                .filter(remedy -> Mending.works(plan, remedy.edit(), proof.at()));
    }

    private Finding finding(Plan plan, Proof proof, Severity severity, Optional<Remedy> remedy) {
        boolean alternates = proof.compiled().mode() == SwitchMode.ALTERNATING;
        List<String> sent = proof.compiled().byItself().values().stream()
                .flatMap(List::stream)
                .map(Message::hex)
                .distinct()
                .toList();
        return found(severity)
                .about(proof.at())
                .cause(alternates ? "alternates" : "momentary")
                .with("sent", sent)
                .word("one-shot", plan.board(proof.at().board()).modes().contains(SwitchMode.ONE_SHOT) ? "yes" : "no")
                .mend(remedy)
                .made();
    }
}
