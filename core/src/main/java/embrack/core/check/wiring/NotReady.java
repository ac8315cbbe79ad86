package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Halted;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.Obstacle;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Setting;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.way.Readiness;
import embrack.core.word.Fact;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A wireless or network connection that is drawn and carries nothing yet. */
final class NotReady implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "not-ready");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        Readiness readiness = subject.ways().readiness();
        return rig.links().stream()
                .flatMap(link -> readiness.lack(link).map(lack -> finding(subject, link, lack)).stream());
    }

    private Finding finding(Subject subject, Link link, Readiness.Lack lack) {
        Rig rig = subject.plan().rig();
        List<Halted> all = subject.halted(Obstacle.KeptBack.class).stream()
                .flatMap(List::stream)
                .filter(each -> each.obstacle() instanceof Obstacle.KeptBack kept
                        && kept.where().equals(lack.what()))
                .toList();
        Optional<Remedy> remedy = lack.setting().map(id -> {
            Setting setting = rig.model(lack.device()).setting(id).orElseThrow();
            return new Remedy("set", new GearEdit.ChangeSetting(lack.device(), id, setting.shown(lack.value())))
                    .with("setting", setting.name())
                    .with("device", lack.device())
                    .with("value", setting.shown(lack.value()));
        });
        return found(Severity.STOPS)
                .halting(subject.plan(), all)
                .with("at", link.from())
                .with("lack", lack.what())
                .with("mend", lack.fix())
                .with("kind", Fact.word(rig.kind(link).words()))
                .with("link", link)
                .mend(remedy)
                .made();
    }
}
