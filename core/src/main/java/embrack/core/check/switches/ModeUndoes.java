package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.SwitchMode;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Moment;
import java.util.EnumSet;
import java.util.List;
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
        return subject.proofs().stream()
                .filter(proof -> explains(subject.plan(), proof))
                .map(proof -> finding(subject.plan(), proof, subject.severity(proof)));
    }

    /** Whether the mode alone is to blame: as a one-shot the switch would do as it should. */
    static boolean explains(Plan plan, Proof proof) {
        return VERDICTS.contains(proof.verdict())
                && proof.moment() == Moment.PRESS
                && !proof.compiled().byItself().isEmpty()
                && oneShot(plan, proof).isPresent();
    }

    private static Optional<Remedy> oneShot(Plan plan, Proof proof) {
        if (plan.board(proof.at().board()).modes().contains(SwitchMode.ONE_SHOT)) {
            var edit = new SwitchEdit.ChooseMode(proof.at(), Optional.of(SwitchMode.ONE_SHOT));
            return Mending.works(plan, edit, proof.at()) ? Optional.of(new Remedy("one-shot", edit)) : Optional.empty();
        }
        return new OtherHardware(plan, proof.at().board())
                .remedy(board -> board.modes().contains(SwitchMode.ONE_SHOT))
                .filter(remedy -> Mending.works(plan, remedy.edit(), proof.at()));
    }

    private Finding finding(Plan plan, Proof proof, Severity severity) {
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
                .mend(oneShot(plan, proof))
                .made();
    }
}
