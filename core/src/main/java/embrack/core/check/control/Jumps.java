package embrack.core.check.control;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.edit.TravelEdit;
import embrack.core.level.Takeover;
import embrack.core.plan.Plan;
import embrack.core.switches.Target;
import embrack.core.switches.Travel;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A level jumps to where the control happens to stand. */
final class Jumps implements Rule {

    private static final int HALF_WAY = 64;

    @Override
    public RuleInfo info() {
        return new RuleInfo("controls.jumps", "A level jumps when it is touched");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().switches().travels().stream()
                .filter(travel ->
                        travel.takeover() == Takeover.JUMP && !travel.targets().isEmpty())
                .map(travel -> finding(subject.plan(), travel));
    }

    private Finding finding(Plan plan, Travel travel) {
        Target target = travel.targets().getFirst();
        int top = target.at(127).amount().orElseThrow();
        return new Finding(
                info(),
                Severity.LOOK,
                plan.words(travel.at()),
                "When it stands half way and the level is at its top, the first touch makes %s jump: it %s."
                        .formatted(
                                plan.words(target),
                                target.law()
                                        .move(top, target.at(HALF_WAY).amount().orElseThrow(), target.topDecibels())),
                "In a quiet passage everybody hears it.",
                "Let it be scaled: every move is shared out over the room that is left.",
                List.of(),
                Optional.of(
                        new Remedy("Let it be scaled", new TravelEdit.ChooseTakeover(travel.at(), Takeover.SCALED))));
    }
}
