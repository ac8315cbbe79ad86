package embrack.core.check.switches;

import embrack.core.check.remedy.OtherHardware;
import embrack.core.check.remedy.Spare;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.Obstacle;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.SwitchMode;
import embrack.core.offer.SpareSwitch;
import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import java.util.Optional;
import java.util.stream.Stream;

/** A switch is to do what its board cannot: tell a gesture, alternate, wait. */
final class NotOnThisBoard implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "not-on-this-board");
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
        return stopped(proof.at(), step.obstacle().orElseThrow())
                .word("moment", moment.words())
                .with(
                        "deeds",
                        proof.compiled().steps(moment).stream()
                                .map(CompiledStep::step)
                                .toList())
                .mend(mode(plan, proof))
                .mend(spread(plan, proof, moment))
                .mend(OtherHardware.instead(plan, proof.at().board()))
                .made();
    }

    private Found stopped(SwitchAt at, Obstacle obstacle) {
        Found found = found(Severity.STOPS).about(at).with("board", at.board());
        return switch (obstacle) {
            case Obstacle.NoGesture o ->
                found.cause("gesture").word("gesture", o.gesture().words());
            case Obstacle.NoMode o -> found.cause("mode").word("mode", o.mode().words());
            case Obstacle.TwoMessages o -> found.cause("two-messages");
            case Obstacle.CannotWait o ->
                found.cause(o.longestMillis() == 0 ? "no-wait" : "short-wait").with("longest", o.longestMillis());
            default -> throw new IllegalStateException("no obstacle of this rule");
        };
    }

    private static Optional<Remedy> spread(Plan plan, Proof proof, Moment moment) {
        return moment == Moment.PRESS
                ? Optional.empty()
                : SpareSwitch.near(plan, proof.at())
                        .map(to -> new Remedy("give-own-switch", new SwitchEdit.SpreadSteps(proof.at(), moment, 0, to))
                                .with("to", Spare.phrase(plan, to, proof.at())));
    }

    private static Optional<Remedy> mode(Plan plan, Proof proof) {
        Optional<SwitchMode> chosen = plan.switches()
                .at(proof.at())
                .mode()
                .filter(mode -> !plan.board(proof.at()).modes().contains(mode));
        return chosen.map(mode -> new Remedy("as-board", new SwitchEdit.ChooseMode(proof.at(), Optional.empty())));
    }
}
