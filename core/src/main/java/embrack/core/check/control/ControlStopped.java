package embrack.core.check.control;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.compile.CompiledTravel;
import embrack.core.compile.Obstacle;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.TravelEdit;
import embrack.core.level.Curve;
import embrack.core.level.Range;
import embrack.core.plan.Plan;
import embrack.core.sim.TravelProof;
import embrack.core.switches.Target;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What a treadle, fader or knob should move is not moved by what its box can send. */
final class ControlStopped implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("controls.stopped", "A level cannot be moved");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.travels().stream()
                .flatMap(proof -> proof.compiled().targets().stream()
                        .flatMap(
                                target -> target
                                        .obstacle()
                                        .map(obstacle -> finding(subject.plan(), proof, target, obstacle))
                                        .stream()));
    }

    private Finding finding(Plan plan, TravelProof proof, CompiledTravel.CompiledTarget compiled, Obstacle obstacle) {
        Target target = compiled.target();
        String box = plan.rig().name(proof.at().box()).text();
        String receiver = plan.rig().name(target.device()).text();
        String what =
                switch (obstacle) {
                    case Obstacle.NoChartLine o ->
                        "%s has no message for the level of %s."
                                .formatted(receiver, plan.rig().partName(target.device(), target.part()));
                    case Obstacle.NothingLearned o ->
                        "%s has learned nothing for the level of %s."
                                .formatted(receiver, plan.rig().partName(target.device(), target.part()));
                    case Obstacle.CannotSend o ->
                        "%s of %s cannot send %s."
                                .formatted(proof.at().words(), box, o.type().plural());
                    case Obstacle.CannotShape o ->
                        "%s sends its way as it is, and %s takes it as it comes: from %s to %s cannot be programmed."
                                .formatted(
                                        box,
                                        receiver,
                                        target.shown(target.at(0).amount().orElseThrow()),
                                        target.shown(target.at(127).amount().orElseThrow()));
                    case Obstacle.KeptBack o -> o.where();
                    default -> "No link leads from %s to %s.".formatted(box, receiver);
                };
        return new Finding(
                info(),
                Severity.STOPS,
                plan.words(proof.at()),
                what,
                "%s is not moved as it should be.".formatted(plan.words(target)),
                obstacle instanceof Obstacle.CannotShape
                        ? "Move the whole range evenly, or use a box that can be given a range."
                        : "Choose another level, or mend the way in Wiring.",
                List.of(),
                remedy(proof, target, obstacle));
    }

    private static Optional<Remedy> remedy(TravelProof proof, Target target, Obstacle obstacle) {
        return switch (obstacle) {
            case Obstacle.NothingLearned o ->
                Optional.of(new Remedy("Choose a number", new NumberEdit.ChooseNumbers()));
            case Obstacle.CannotShape o ->
                Optional.of(new Remedy("Move the whole range", shape(proof, target, Range.FULL)));
            default -> Optional.empty();
        };
    }

    private static TravelEdit.Shape shape(TravelProof proof, Target target, Range range) {
        return new TravelEdit.Shape(
                proof.at(),
                target.device(),
                target.part(),
                String.valueOf(range.from()),
                String.valueOf(range.to()),
                Curve.LINEAR,
                target.law(),
                String.valueOf(target.topDecibels()),
                "");
    }
}
