package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.WiringEdit;
import embrack.core.power.Programs;
import embrack.core.rig.Rig;
import java.util.stream.Stream;

/** Apps that wait for each other's ports, one of which looks for ports only as it starts. */
final class StartsTooEarly implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "starts-too-early");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return Programs.of(rig).missed().stream()
                .map(missed -> found(Severity.LOOK)
                        .with("app", missed.app())
                        .with("late", missed.late())
                        .with("ring", missed.ring())
                        .word("again", Programs.looksAtStart(rig, missed.late()) ? "both" : "one")
                        .mend(() -> rig.links().stream()
                                .filter(link -> missed.ring()
                                                .contains(link.from().device())
                                        && missed.ring().contains(link.to().device()))
                                .map(link -> new Remedy("pull", new WiringEdit.Disconnect(link.from(), link.to()))
                                        .with("link", link)))
                        .made());
    }
}
