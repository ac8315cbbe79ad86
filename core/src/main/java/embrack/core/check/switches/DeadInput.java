package embrack.core.check.switches;

import embrack.core.chart.Learned;
import embrack.core.chart.LessonId;
import embrack.core.chart.Response;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.compile.CompiledStep;
import embrack.core.edit.NumberEdit;
import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Step;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The receiver's input is set so that some or all presses do nothing. */
final class DeadInput implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.dead-input", "An input is set so that presses do nothing");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.proofs().stream()
                .filter(proof -> proof.verdict() != Verdict.EXACT && proof.verdict() != Verdict.NO_WAY)
                .flatMap(proof ->
                        culprit(subject.plan(), proof).map(step -> finding(subject.plan(), proof, step)).stream());
    }

    /** The step whose input, set plainly, would make the switch do as it should. */
    static Optional<Step> culprit(Plan plan, Proof proof) {
        return proof.steps().stream()
                .map(CompiledStep::step)
                .filter(step -> learned(plan, step)
                        .filter(l -> !l.response().equals(Response.PLAIN))
                        .isPresent())
                .filter(step -> !step.action().verb().takesAmount() && Mending.works(plan, plainly(step), proof.at()))
                .findFirst();
    }

    private static Optional<Learned> learned(Plan plan, Step step) {
        return Optional.ofNullable(plan.rig().device(step.device()).learned().get(LessonId.of(step.action())));
    }

    private static NumberEdit.Respond plainly(Step step) {
        return new NumberEdit.Respond(step.device(), LessonId.of(step.action()), false, "0", "127");
    }

    private Finding finding(Plan plan, Proof proof, Step step) {
        Response response = learned(plan, step).orElseThrow().response();
        String how = response.alternating()
                ? "takes the low value at every second press, and that is %d".formatted(response.low())
                : response.high() < Response.ON
                        ? "has %d as its high value".formatted(response.high())
                        : "also works at the low value, %d".formatted(response.low());
        return new Finding(
                info(),
                Severity.STOPS,
                plan.words(proof.at()),
                "The input of %s for \"%s\" %s."
                        .formatted(plan.rig().name(step.device()), plan.rig().words(step.device(), step.action()), how),
                response.high() < Response.ON && !response.alternating()
                        ? "No press does anything."
                        : "Every second press does nothing, or too much.",
                "Set the input to momentary, low value 0, high value 127.",
                List.of(proof.at()),
                Optional.of(new Remedy("Set the input plainly", plainly(step))));
    }
}
