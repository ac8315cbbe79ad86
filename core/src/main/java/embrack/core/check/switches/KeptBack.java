package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.compile.Obstacle;
import embrack.core.rig.Rig;
import embrack.core.switches.SwitchAt;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Links lead to the box, and something on the way keeps the message back. */
final class KeptBack implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.kept-back", "A message is kept back on its way");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return Stopped.all(subject, Obstacle.KeptBack.class)
                .collect(Collectors.groupingBy(
                        s -> s.ends() + s.obstacle().where(), LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(stopped -> {
                    List<SwitchAt> switches = stopped.stream().map(Stopped::at).toList();
                    Stopped<Obstacle.KeptBack> one = stopped.getFirst();
                    return new Finding(
                            info(),
                            Severity.STOPS,
                            subject.plan().words(switches),
                            one.obstacle().where(),
                            "What these switches send to %s never gets there."
                                    .formatted(rig.name(one.step().step().device())),
                            "Open the way in Wiring, or go another.",
                            switches,
                            Optional.empty());
                });
    }
}
