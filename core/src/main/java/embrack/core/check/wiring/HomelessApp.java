package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Kind;
import embrack.core.rig.Device;
import embrack.core.rig.Rig;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** An app that lives in no computer. */
final class HomelessApp implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "homeless-app");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.devices().stream()
                .filter(d -> rig.model(d.id()).isApp() && d.spot().host().isEmpty())
                .map(d -> {
                    List<Device> hosts = rig.devices().stream()
                            .filter(h -> rig.model(h.id()).kind() == Kind.HOST)
                            .toList();
                    Optional<Remedy> remedy = hosts.size() == 1
                            ? Optional.of(new Remedy(
                                            "run-on",
                                            new WiringEdit.LiveIn(
                                                    d.id(),
                                                    Optional.of(hosts.getFirst().id())))
                                    .with("host", hosts.getFirst()))
                            : Optional.empty();
                    return found(Severity.LOOK)
                            .with("device", d)
                            .word("hosts", hosts.isEmpty() ? "none" : "some")
                            .mend(remedy)
                            .made();
                });
    }
}
