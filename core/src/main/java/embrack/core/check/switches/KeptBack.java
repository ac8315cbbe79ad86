package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.Obstacle;
import embrack.core.switches.SwitchAt;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Links lead to the box, and something on the way keeps the message back. */
final class KeptBack implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "kept-back");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return Stopped.all(subject, Obstacle.KeptBack.class)
                .collect(Collectors.groupingBy(
                        s -> List.of(s.ends(), s.obstacle()), LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(stopped -> {
                    List<SwitchAt> switches = stopped.stream().map(Stopped::at).toList();
                    Stopped<Obstacle.KeptBack> one = stopped.getFirst();
                    return found(Severity.STOPS)
                            .about(switches)
                            .with("stop", one.obstacle().where())
                            .with("device", one.step().step().device())
                            .made();
                });
    }
}
