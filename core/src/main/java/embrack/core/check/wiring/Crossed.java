package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Connector;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A 3.5 mm cable between a socket of type A and one of type B: its plug fits, and nothing comes through (MIDI over TRS,
 * MIDI Association RP-054: type A has the current source on the ring; type B on the tip. From memory).
 */
final class Crossed implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "crossed");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.links().stream()
                .filter(link -> connectors(rig, link).equals(Set.of(Connector.TRS_A, Connector.TRS_B)))
                .map(link -> found(Severity.NOTE)
                        .with("from", link.from())
                        .with("to", link.to())
                        .word("sends", rig.port(link.from()).connector().words())
                        .word("takes", rig.port(link.to()).connector().words())
                        .made());
    }

    private static Set<Connector> connectors(Rig rig, Link link) {
        return Stream.of(link.from(), link.to())
                .map(socket -> rig.port(socket).connector())
                .collect(Collectors.toSet());
    }
}
