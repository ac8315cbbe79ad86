package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Blame;
import embrack.core.sim.Cause;
import embrack.core.sim.Verdict;
import embrack.core.word.Fact;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A state is wanted of a box that can only turn it round: right, until it is so already. Said once a box; graver where
 * a switch is at the wrong side from the start.
 */
final class TurnsRound implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "turns-round");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<DeviceId, List<Blame>> byBox = subject.blamed(Cause.TurnedRound.class)
                .collect(Collectors.groupingBy(Blame::device, TreeMap::new, Collectors.toList()));
        return byBox.entrySet().stream().map(e -> finding(subject.plan(), e.getKey(), e.getValue()));
    }

    private Finding finding(Plan plan, DeviceId device, List<Blame> blames) {
        Broken broken = blames.getFirst().story().orElseThrow();
        boolean always = blames.stream()
                .flatMap(blame -> blame.proof().stream())
                .anyMatch(proof -> proof.verdict() == Verdict.WRONG);
        return found(always ? Severity.STOPS : Severity.LOOK)
                .blaming(plan, blames)
                .with("device", device)
                .with("story", broken.phrase(plan))
                .with("place", new Fact.PartOf(device, broken.place().part()))
                .word("actual", broken.place().aspect().word(broken.actual()))
                .made();
    }
}
