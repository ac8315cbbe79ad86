package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Purpose;
import embrack.core.gear.Setting;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import java.util.stream.Stream;

/** An app is linked onwards and its output is off. */
final class OutputOff implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "output-off");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.devices().stream()
                .filter(d -> rig.setting(d.id(), Purpose.OUTPUT_PORT)
                        .filter(v -> v == 0)
                        .isPresent())
                .filter(d -> rig.linksIn(d.id()).stream()
                        .anyMatch(link -> rig.kind(link) == LinkKind.INSIDE
                                && link.from().device().equals(d.id())))
                .map(d -> {
                    Setting setting =
                            rig.model(d.id()).setting(Purpose.OUTPUT_PORT).orElseThrow();
                    return found(Severity.STOPS)
                            .with("app", d)
                            .with("setting", setting.name())
                            .with("on", setting.shown(1))
                            .mend("switch-on", new GearEdit.ChangeSetting(d.id(), setting.id(), setting.shown(1)))
                            .made();
                });
    }
}
