package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Setting;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.way.Readiness;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A wireless or network connection that is drawn and carries nothing yet. */
final class NotReady implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("wiring.not-ready", "A connection does not carry yet");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        Readiness readiness = subject.ways().readiness();
        return rig.links().stream()
                .flatMap(link -> readiness.lack(link).map(lack -> finding(rig, link, lack)).stream());
    }

    private Finding finding(Rig rig, Link link, Readiness.Lack lack) {
        Optional<Remedy> remedy = lack.setting().map(id -> {
            Setting setting = rig.model(lack.device()).setting(id).orElseThrow();
            return new Remedy(
                    "Set %s of %s to %s"
                            .formatted(setting.name(), rig.name(lack.device()), setting.shown(lack.value())),
                    new GearEdit.ChangeSetting(lack.device(), id, setting.shown(lack.value())));
        });
        return new Finding(
                info(),
                Severity.STOPS,
                rig.words(link.from()),
                lack.what(),
                "Nothing passes the %s link %s.".formatted(rig.kind(link).words(), rig.words(link)),
                lack.fix(),
                List.of(),
                remedy);
    }
}
