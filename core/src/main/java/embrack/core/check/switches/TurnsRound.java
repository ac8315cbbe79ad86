package embrack.core.check.switches;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.toList;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.Step;
import embrack.core.word.Fact;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
        Plan plan = subject.plan();
        Map<DeviceId, List<Proof>> byBox = subject.proofs().stream()
                .filter(proof -> explains(plan, proof))
                .collect(
                        groupingBy(proof -> proof.broken().orElseThrow().place().device(), TreeMap::new, toList()));
        return byBox.entrySet().stream().map(e -> finding(plan, e.getKey(), e.getValue()));
    }

    /** Whether all that ever goes wrong is that something turned round that was so already. */
    static boolean explains(Plan plan, Proof proof) {
        Set<Place> turned = proof.steps().stream()
                .map(step -> step.step())
                .filter(step -> plan.rig().chart(step.device()).isByToggle(step.action()))
                .map(TurnsRound::place)
                .collect(Collectors.toSet());
        return (proof.verdict() == Verdict.EVERY_OTHER || proof.verdict() == Verdict.WRONG)
                && proof.broken().isPresent()
                && turned.containsAll(proof.wrongPlaces())
                && proof.seen().stream().allMatch(seen -> seen.broken().isEmpty() || seen.moved());
    }

    private static Place place(Step step) {
        return World.place(step.device(), step.action());
    }

    private Finding finding(Plan plan, DeviceId device, List<Proof> proofs) {
        Broken broken = proofs.getFirst().broken().orElseThrow();
        boolean always = proofs.stream().anyMatch(proof -> proof.verdict() == Verdict.WRONG);
        return found(always ? Severity.STOPS : Severity.LOOK)
                .about(proofs.stream().map(Proof::at).toList())
                .with("device", device)
                .with("story", broken.phrase(plan))
                .with("place", new Fact.PartOf(device, broken.place().part()))
                .word("actual", broken.place().aspect().word(broken.actual()))
                .made();
    }
}
