package embrack.core.check.place;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.FloorEdit;
import embrack.core.offer.SpareSwitch;
import embrack.core.place.Safety;
import embrack.core.place.Surroundings;
import embrack.core.plan.Plan;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A toe too far, and what should start stops. */
final class StopsBesideGo implements Rule {

    /** With fewer switches between them, a foot that misses hits the other. Common practice, no source. */
    private static final int ROOM = 2;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.PLACE, "stop-beside-go");
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
                        .filter(other -> SpareSwitch.distance(plan.board(go.at()), go.at(), other.at()) < ROOM)
                        .map(other -> finding(plan, go, other)));
    }

    private Finding finding(Plan plan, Assignment go, Assignment other) {
        List<Phrase> told = Surroundings.of(plan, go.at()).misses().stream()
                .filter(miss -> miss.hit().equals(other.at()))
                .map(Surroundings.Miss::phrase)
                .toList();
        Optional<SwitchAt> away = SpareSwitch.farFrom(plan, go.at())
                .filter(at -> SpareSwitch.distance(plan.board(at), at, go.at()) >= ROOM);
        return found(Severity.LOOK)
                .about(List.of(go.at(), other.at()))
                .with("hurts", other.at().number())
                .with("does", other.steps().stream().limit(2).toList())
                .with("go", go.at().number())
                .with(
                        "miss",
                        told.isEmpty()
                                ? Phrase.of("core/check/place", "stop-beside-go.a-row-too-far")
                                : told.getFirst())
                .mend(away.map(at -> new Remedy("move", new FloorEdit.MoveSwitches(List.of(other.at()), at))
                        .with("to", at.number())))
                .made();
    }
}
