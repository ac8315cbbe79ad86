package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.Compiler;
import embrack.core.compile.Obstacle;
import embrack.core.edit.Refused;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.SwitchMode;
import embrack.core.name.Words;
import embrack.core.offer.SpareSwitch;
import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Moment;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A switch is to do what its board cannot: tell a gesture, alternate, wait. */
final class NotOnThisBoard implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.not-on-this-board", "The board's switches cannot do that");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.proofs().stream()
                .filter(proof -> proof.verdict() == Verdict.NO_WAY)
                .flatMap(proof -> Proof.moments(proof.moment()).stream()
                        .flatMap(moment -> proof.compiled().steps(moment).stream()
                                .filter(step -> step.obstacle()
                                        .map(NotOnThisBoard::isOurs)
                                        .orElse(false))
                                .limit(1)
                                .map(step -> finding(subject.plan(), proof, moment, step))));
    }

    private static boolean isOurs(Obstacle obstacle) {
        return obstacle instanceof Obstacle.NoGesture
                || obstacle instanceof Obstacle.NoMode
                || obstacle instanceof Obstacle.TwoMessages
                || obstacle instanceof Obstacle.CannotWait;
    }

    private Finding finding(Plan plan, Proof proof, Moment moment, CompiledStep step) {
        String board = plan.rig().name(proof.at().board()).text();
        String what =
                switch (step.obstacle().orElseThrow()) {
                    case Obstacle.NoGesture o ->
                        "%s cannot tell a %s.".formatted(board, o.gesture().words());
                    case Obstacle.NoMode o ->
                        "The switches of %s are never %s."
                                .formatted(board, o.mode().words());
                    case Obstacle.TwoMessages o ->
                        "%s has two values of one message for press and %s; these are two messages."
                                .formatted(board, moment.words());
                    case Obstacle.CannotWait o ->
                        o.longestMillis() == 0
                                ? "%s does not wait between messages.".formatted(board)
                                : "%s waits %d ms at most between messages.".formatted(board, o.longestMillis());
                    default -> throw new IllegalStateException("no obstacle of this rule");
                };
        Optional<Remedy> remedy = Stream.of(
                        new OtherHardware(plan, proof.at().board()).remedy(),
                        mode(plan, proof),
                        spread(plan, proof, moment))
                .flatMap(Optional::stream)
                .filter(candidate ->
                        settles(plan, candidate, proof, step.obstacle().orElseThrow()))
                .findFirst();
        return new Finding(
                info(),
                Severity.STOPS,
                plan.words(proof.at()),
                what,
                "On %s nothing of this happens: %s."
                        .formatted(
                                moment.words(),
                                Words.list(proof.compiled().steps(moment).stream()
                                        .map(s -> plan.words(s.step()))
                                        .toList())),
                "Use a board that can do it, or give it a switch of its own.",
                List.of(proof.at()),
                remedy);
    }

    /** Whether nothing of the switch is stopped by the same any more. */
    private static boolean settles(Plan plan, Remedy remedy, Proof proof, Obstacle obstacle) {
        try {
            Plan after = remedy.edit().apply(plan);
            return new Compiler(after)
                    .compile(after.switches().at(proof.at())).allSteps().stream()
                            .noneMatch(step ->
                                    step.obstacle().filter(obstacle::equals).isPresent());
        } catch (Refused e) {
            return false;
        }
    }

    private static Optional<Remedy> spread(Plan plan, Proof proof, Moment moment) {
        return moment == Moment.PRESS
                ? Optional.empty()
                : SpareSwitch.near(plan, proof.at())
                        .map(to -> new Remedy(
                                "Give it " + SpareSwitch.words(plan, to, proof.at()),
                                new SwitchEdit.SpreadSteps(proof.at(), moment, 0, to)));
    }

    private static Optional<Remedy> mode(Plan plan, Proof proof) {
        Optional<SwitchMode> chosen = plan.switches()
                .at(proof.at())
                .mode()
                .filter(mode -> !plan.board(proof.at().board()).modes().contains(mode));
        return chosen.map(mode ->
                new Remedy("Let the board do it its way", new SwitchEdit.ChooseMode(proof.at(), Optional.empty())));
    }
}
