package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.switches.SwitchAt;
import embrack.core.way.Loops;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;

/** Messages of a press come to a box more often than copies can be followed, though by no ring. */
final class ComesRound implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "comes-round");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        SortedMap<DeviceId, List<SwitchAt>> byBox = new TreeMap<>();
        List<Proof> unknown = subject.proofs().stream()
                .filter(proof -> proof.verdict() == Verdict.NOT_KNOWN)
                .toList();
        if (unknown.isEmpty()) {
            return Stream.empty();
        }
        Loops loops = new Loops(subject.ways());
        for (Proof proof : unknown) {
            proof.cameRoundAt()
                    .filter(box -> loops.all().stream().noneMatch(loop -> loop.passes(box)))
                    .ifPresent(box -> byBox.merge(
                            box,
                            List.of(proof.at()),
                            (a, b) -> Stream.concat(a.stream(), b.stream())
                                    .distinct()
                                    .toList()));
        }
        return byBox.entrySet().stream()
                .map(e -> found(Severity.STOPS)
                        .about(e.getValue())
                        .with("device", e.getKey())
                        .made());
    }
}
