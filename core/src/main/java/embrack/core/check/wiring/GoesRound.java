package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.edit.WiringEdit;
import embrack.core.name.Words;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.way.Loops;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A way that comes back to itself. */
final class GoesRound implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("wiring.loop", "Messages go round for ever");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        Loops loops = new Loops(subject.ways());
        return loops.all().stream().map(loop -> {
            Link cut = loops.cut(loop);
            List<String> boxes = loop.hops().stream()
                    .map(hop -> rig.name(hop.from().device()).text())
                    .distinct()
                    .toList();
            return new Finding(
                    info(),
                    Severity.STOPS,
                    String.join(", ", boxes),
                    "Messages go round: %s, and back to %s.".formatted(Words.list(boxes), boxes.getFirst()),
                    "One message comes back for ever, fills the wire and repeats what it does.",
                    "Cut it at the link %s.".formatted(rig.words(cut)),
                    List.of(),
                    Optional.of(new Remedy("Pull that link", new WiringEdit.Disconnect(cut.from(), cut.to()))));
        });
    }
}
