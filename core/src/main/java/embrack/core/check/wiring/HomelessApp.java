package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
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
        return new RuleInfo("wiring.homeless-app", "An app lives in no computer");
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
                                    "Run it on %s".formatted(hosts.getFirst().name()),
                                    new WiringEdit.LiveIn(
                                            d.id(), Optional.of(hosts.getFirst().id()))))
                            : Optional.empty();
                    return new Finding(
                            info(),
                            Severity.LOOK,
                            d.name().text(),
                            "%s lives in no computer.".formatted(d.name()),
                            "Nothing can reach it, and nobody knows what to switch on for it.",
                            hosts.isEmpty()
                                    ? "Add the computer or tablet that it runs on."
                                    : "Say which computer or tablet it runs on.",
                            List.of(),
                            remedy);
                });
    }
}
