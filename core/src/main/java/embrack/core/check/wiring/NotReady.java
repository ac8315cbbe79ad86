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
import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.InTurn;
import embrack.core.gear.Setting;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.way.Readiness;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A wireless or network connection that is drawn and carries nothing yet. */
final class NotReady implements Rule {

    /** An app on each side, and a role. */
    private static final int MOST = 4;

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
        return found(Severity.STOPS)
                .halting(subject.plan(), all)
                .with("at", link.from())
                .with("lack", lack.what())
                .with("mend", lack.fix())
                .with("kind", Fact.word(rig.kind(link).words()))
                .with("link", link)
                .mend(remedy(subject.plan(), link))
                .made();
    }

    /** All that the connection lacks, one behind the other, as far as settings mend it. */
    private static Optional<Remedy> remedy(Plan plan, Link link) {
        List<Edit> edits = new ArrayList<>();
        List<Phrase> said = new ArrayList<>();
        Plan next = plan;
        while (edits.size() < MOST) {
            Optional<Readiness.Lack> lack = new Readiness(next.rig()).lack(link);
            if (lack.isEmpty()) {
                return edits.isEmpty()
                        ? Optional.empty()
                        : Optional.of(new Remedy("set", edits.size() == 1 ? edits.getFirst() : new InTurn(edits))
                                .with("settings", said));
            }
            if (lack.get().setting().isEmpty()) {
                return Optional.empty();
            }
            DeviceId device = lack.get().device();
            Setting setting =
                    next.rig().model(device).setting(lack.get().setting().get()).orElseThrow();
            String value = setting.shown(lack.get().value());
            edits.add(new GearEdit.ChangeSetting(device, setting.id(), value));
            said.add(Phrase.of("core/check/wiring", "not-ready.setting")
                    .with("setting", setting.name())
                    .with("device", device)
                    .with("value", value));
            next = edits.getLast().apply(next);
        }
        return Optional.empty();
    }
}
