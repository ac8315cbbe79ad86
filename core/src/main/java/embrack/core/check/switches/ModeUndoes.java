package embrack.core.check.switches;

import embrack.core.chart.LearnableId;
import embrack.core.check.remedy.OtherHardware;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.CompiledStep;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.ShownMessage;
import embrack.core.gear.SwitchMode;
import embrack.core.plan.Plan;
import embrack.core.sim.Cause;
import embrack.core.sim.Proof;
import embrack.core.switches.Step;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What the switch sends by itself, on release or at every second press, undoes what it is for. */
final class ModeUndoes implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "mode-undoes");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.blamed(Cause.SentByMode.class)
                .flatMap(blame -> blame.proof().stream())
                .distinct()
                .map(proof -> finding(subject, proof));
    }

    private Finding finding(Subject subject, Proof proof) {
        Plan plan = subject.plan();
        boolean alternates = proof.compiled().mode() == SwitchMode.ALTERNATING;
        List<String> sent = proof.compiled().byItself().values().stream()
                .flatMap(List::stream)
                .map(message -> ShownMessage.on(plan.board(proof.at()), message).words())
                .distinct()
                .toList();
        boolean knowsOneShot = plan.board(proof.at()).modes().contains(SwitchMode.ONE_SHOT);
        return found(subject.severity(proof))
                .about(proof.at())
                .cause(alternates ? "alternates" : "momentary")
                .with("sent", sent)
                .word("one-shot", knowsOneShot ? "yes" : "no")
                .mend(Optional.of(new Remedy(
                                "one-shot", new SwitchEdit.ChooseMode(proof.at(), Optional.of(SwitchMode.ONE_SHOT))))
                        .filter(remedy -> knowsOneShot))
                .mend(lowValue(plan, proof))
                .mend(
                        knowsOneShot
                                ? Remedies.NONE
                                : OtherHardware.instead(
                                        plan,
                                        proof.at().board(),
                                        board -> board.modes().contains(SwitchMode.ONE_SHOT)))
                .made();
    }

    /** An input of the receiver that takes the other value for the same. */
    private static Optional<Remedy> lowValue(Plan plan, Proof proof) {
        List<Step> steps = proof.steps().stream().map(CompiledStep::step).toList();
        return steps.size() == 1 ? lowValue(plan, steps.getFirst()) : Optional.empty();
    }

    private static Optional<Remedy> lowValue(Plan plan, Step step) {
        LearnableId learnable = LearnableId.of(step.action());
        return Optional.ofNullable(plan.rig().device(step.device()).learned().get(learnable))
                .map(learned ->
                        new Remedy("low-value", new NumberEdit.Respond(step.device(), learnable, false, "127", "127")));
    }
}
