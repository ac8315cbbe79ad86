package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.rig.Length;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.word.Fact;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A cable longer than its kind may be. Sources: MIDI 1.0 Detailed Specification, "Hardware": 50 feet, 15 m; USB 2.0
 * Specification, 7.1.16: the delay that a cable may have comes to about 5 m.
 */
final class TooLong implements Rule {

    private static final Length FIVE_PIN = Length.ofMetres(15);
    private static final Length USB = Length.ofMetres(5);

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "too-long");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.links().stream()
                .filter(link -> link.length()
                        .filter(length -> limit(rig, link)
                                .filter(l -> length.compareTo(l) > 0)
                                .isPresent())
                        .isPresent())
                .map(link -> found(Severity.LOOK)
                        .with("at", link.from())
                        .with("link", link)
                        .with("kind", Fact.word(rig.kind(link).words()))
                        .with("length", link.length().orElseThrow().words())
                        .with("limit", limit(rig, link).orElseThrow().words())
                        .cause(rig.kind(link) == LinkKind.USB ? "usb" : "five-pin")
                        .made());
    }

    private static Optional<Length> limit(Rig rig, Link link) {
        return switch (rig.kind(link)) {
            case FIVE_PIN -> Optional.of(FIVE_PIN);
            case USB -> Optional.of(USB);
            default -> Optional.empty();
        };
    }
}
