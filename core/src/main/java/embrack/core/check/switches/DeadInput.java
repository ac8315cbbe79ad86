package embrack.core.check.switches;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.Response;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.CompiledStep;
import embrack.core.edit.NumberEdit;
import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Step;
import java.util.Optional;
import java.util.stream.Stream;

/** The receiver's input is set so that some or all presses do nothing. */
final class DeadInput implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "dead-input");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.proofs().stream()
                .filter(proof -> proof.verdict() != Verdict.EXACT && proof.verdict() != Verdict.NO_WAY)
                .flatMap(proof -> culprit(subject.plan(), proof)
                        .map(step -> finding(subject.plan(), proof, step, subject.severity(proof)))
                        .stream());
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
        return Optional.ofNullable(plan.rig().device(step.device()).learned().get(LearnableId.of(step.action())));
    }

    private static NumberEdit.Respond plainly(Step step) {
        return new NumberEdit.Respond(step.device(), LearnableId.of(step.action()), false, "0", "127");
    }

    private Finding finding(Plan plan, Proof proof, Step step, Severity severity) {
        Response response = learned(plan, step).orElseThrow().response();
        return found(severity)
                .about(proof.at())
                .with("device", step.device())
                .with("deed", step)
                .with("low", response.low())
                .with("high", response.high())
                .cause(response.alternating() ? "alternates" : response.high() < Response.ON ? "high" : "low")
                .mend("set-plainly", plainly(step))
                .made();
    }
}
