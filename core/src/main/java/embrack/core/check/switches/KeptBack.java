package embrack.core.check.switches;

import embrack.core.check.remedy.Passage;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Halted;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.Obstacle;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Links lead to the box, and a way through a box keeps the message back. */
final class KeptBack implements Rule {

    /** Of what else keeps messages back the rules about wiring tell. */
    private static final Set<String> OURS = Set.of("sieved", "shut");

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "kept-back");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.halted(Obstacle.KeptBack.class).stream()
                .filter(all -> OURS.contains(kept(all).where().key()))
                .map(all -> finding(subject, all));
    }

    private static Obstacle.KeptBack kept(List<Halted> all) {
        return (Obstacle.KeptBack) all.getFirst().obstacle();
    }

    private Finding finding(Subject subject, List<Halted> all) {
        Halted one = all.getFirst();
        Found found = found(Severity.STOPS)
                .halting(subject.plan(), all)
                .with("stop", kept(all).where())
                .with("devices", all.stream().map(Halted::device).distinct().toList());
        return one.message()
                .map(message -> found.mend(Passage.opened(subject.ways(), one.sender(), one.device(), message)))
                .orElse(found)
                .made();
    }
}
