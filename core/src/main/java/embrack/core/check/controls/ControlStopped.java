package embrack.core.check.controls;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Verb;
import embrack.core.check.remedy.MissingLink;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Halted;
import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.CompiledControl;
import embrack.core.compile.Obstacle;
import embrack.core.edit.ControlEdit;
import embrack.core.edit.NumberEdit;
import embrack.core.gear.Purpose;
import embrack.core.level.Curve;
import embrack.core.level.Range;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.Rig;
import embrack.core.sim.ControlProof;
import embrack.core.switches.Target;
import embrack.core.word.Fact;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What a treadle, fader or knob should move is not moved by what its box can send. */
final class ControlStopped implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.CONTROLS, "stopped");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        List<Halted> own = subject.haltedBesideSwitches().flatMap(List::stream).toList();
        return subject.controlAssignments().stream()
                .flatMap(proof -> proof.compiled().targets().stream()
                        .flatMap(target -> target
                                .obstacle()
                                .filter(obstacle -> own.stream().anyMatch(each -> is(each, proof, target, obstacle)))
                                .map(obstacle -> finding(subject.plan(), proof, target, obstacle))
                                .stream()));
    }

    private static boolean is(
            Halted halted, ControlProof proof, CompiledControl.CompiledTarget target, Obstacle obstacle) {
        return halted.control().filter(proof.at()::equals).isPresent()
                && halted.device().equals(target.target().device())
                && halted.obstacle().equals(obstacle);
    }

    private Finding finding(Plan plan, ControlProof proof, CompiledControl.CompiledTarget compiled, Obstacle obstacle) {
        Target target = compiled.target();
        return stopped(plan, compiled.target(), obstacle)
                .with("control", proof.at())
                .with("box", proof.at().box())
                .with("receiver", target.device())
                .with("level", target)
                .mend(remedy(plan, proof, target, obstacle))
                .mend(
                        obstacle instanceof Obstacle.NoPath
                                ? MissingLink.between(plan.rig(), proof.at().box(), target.device())
                                : Remedies.NONE)
                .made();
    }

    private Found stopped(Plan plan, Target target, Obstacle obstacle) {
        Found found = found(Severity.STOPS).with("part", new Fact.PartOf(target.device(), target.part()));
        return switch (obstacle) {
            case Obstacle.NoChartLine o -> found.cause("no-message");
            case Obstacle.NothingLearned o -> found.cause("nothing-learned");
            case Obstacle.CannotSend o ->
                found.cause("cannot-send").with("type", o.type().plural());
            case Obstacle.CannotShape o ->
                found.cause("cannot-shape")
                        .with("heel", plan.shown(target, target.at(0).amount().orElseThrow()))
                        .with("toe", plan.shown(target, target.at(127).amount().orElseThrow()));
            case Obstacle.SendsItsOwn o ->
                found.cause("sends-its-own").with("type", o.type().shortName()).with("value", o.number());
            case Obstacle.OneNumber o -> found.cause("one-number").with("most", o.most());
            default -> found.cause("no-link");
        };
    }

    private static Optional<Remedy> remedy(Plan plan, ControlProof proof, Target target, Obstacle obstacle) {
        return switch (obstacle) {
            case Obstacle.OneNumber o -> sameNumber(plan.rig(), proof, target);
            case Obstacle.NothingLearned o -> Optional.of(new Remedy("choose-number", new NumberEdit.ChooseNumbers()));
            case Obstacle.CannotShape o ->
                atReceiver(plan, target)
                        .or(() -> Optional.of(new Remedy("whole-range", shape(plan, proof, target, Range.FULL))));
            default -> Optional.empty();
        };
    }

    /** What learns its message can learn the one that the control sends already. */
    private static Optional<Remedy> sameNumber(Rig rig, ControlProof proof, Target target) {
        LearnableId learnable = new LearnableId(Verb.LEVEL, target.part());
        return proof.compiled().targets().stream()
                .filter(CompiledControl.CompiledTarget::isSent)
                .findFirst()
                .filter(first -> rig.device(target.device()).learned().containsKey(learnable))
                .map(first -> (Message.Voice) first.at().getFirst())
                .map(message -> new NumberEdit.PinNumber(
                        target.device(),
                        learnable,
                        message.type(),
                        rig.setting(target.device(), Purpose.RECEIVE_CHANNEL).isPresent()
                                ? ""
                                : String.valueOf(message.channel().number()),
                        String.valueOf(message.data1())))
                .map(edit -> new Remedy("same-number", edit));
    }

    /** Low and high values of the receiver that make the range of what comes as it is, where it has any. */
    private static Optional<Remedy> atReceiver(Plan plan, Target target) {
        LearnableId learnable = new LearnableId(Verb.LEVEL, target.part());
        boolean hasValues =
                plan.rig().model(target.device()).implementation().quirks().assignableInputs() > 0;
        return Optional.of(new NumberEdit.Respond(
                        target.device(),
                        learnable,
                        false,
                        plan.shown(
                                target.device(), learnable, target.programmed().from()),
                        plan.shown(
                                target.device(), learnable, target.programmed().to())))
                .filter(edit -> hasValues
                        && target.range().curve() == Curve.LINEAR
                        && plan.rig().device(target.device()).learned().containsKey(learnable))
                .map(edit -> new Remedy("at-receiver", edit));
    }

    private static ControlEdit.Shape shape(Plan plan, ControlProof proof, Target target, Range range) {
        return new ControlEdit.Shape(
                proof.at(),
                target.device(),
                target.part(),
                plan.typed(target, range.from()),
                plan.typed(target, range.to()),
                Curve.LINEAR,
                target.law(),
                String.valueOf(target.topDecibels()),
                "");
    }
}
