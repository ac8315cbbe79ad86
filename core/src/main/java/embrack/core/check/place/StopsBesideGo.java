package embrack.core.check.place;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.edit.FloorEdit;
import embrack.core.name.Words;
import embrack.core.offer.SpareSwitch;
import embrack.core.place.Safety;
import embrack.core.place.Surroundings;
import embrack.core.plan.Plan;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A toe too far, and what should start stops. */
final class StopsBesideGo implements Rule {

    /** With fewer switches between them, a foot that misses hits the other. Common practice, no source. */
    private static final int ROOM = 2;

    @Override
    public RuleInfo info() {
        return new RuleInfo("place.stop-beside-go", "What hurts lies beside go");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        var safety = new Safety(plan);
        return plan.switches().assignments().stream()
                .filter(safety::isGo)
                .flatMap(go -> plan.switches().of(go.at().board()).stream()
                        .filter(other -> other != go
                                && other.at().bank() == go.at().bank()
                                && safety.isHurtful(other)
                                && !safety.isGo(other))
                        .filter(other -> SpareSwitch.distance(plan.board(go.at().board()), go.at(), other.at()) < ROOM)
                        .map(other -> finding(plan, go, other)));
    }

    private Finding finding(Plan plan, Assignment go, Assignment other) {
        List<String> told = Surroundings.of(plan, go.at()).misses().stream()
                .filter(miss -> miss.hit().equals(other.at()))
                .map(Surroundings.Miss::words)
                .toList();
        Optional<SwitchAt> away = SpareSwitch.farFrom(plan, go.at())
                .filter(at -> SpareSwitch.distance(plan.board(at.board()), at, go.at()) >= ROOM);
        return new Finding(
                info(),
                Severity.LOOK,
                plan.words(List.of(go.at(), other.at())),
                "Switch %d (%s) lies beside switch %d, which starts something."
                        .formatted(
                                other.at().number(),
                                Words.list(other.steps().stream()
                                        .limit(2)
                                        .map(plan::words)
                                        .toList()),
                                go.at().number()),
                told.isEmpty() ? "A foot that comes down a row too far hits it." : told.getFirst(),
                "Put at least one switch between them.",
                List.of(go.at(), other.at()),
                away.map(at -> new Remedy(
                        "Move it to switch %d".formatted(at.number()),
                        new FloorEdit.MoveSwitches(List.of(other.at()), at))));
    }
}
