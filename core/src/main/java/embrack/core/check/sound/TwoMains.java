package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Power;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.sound.Leads;
import java.util.stream.Stream;

/** Two boxes on the mains of two places share a ground over a lead that is not balanced: it hums. */
final class TwoMains implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "two-mains");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        Leads leads = new Leads(subject.sound());
        return rig.links().stream()
                .filter(link ->
                        rig.kind(link) == LinkKind.SOUND && !leads.isBalanced(link) && isBetweenMains(rig, link))
                .map(link -> found(Severity.LOOK)
                        .with("at", link.from())
                        .with("link", link)
                        .with("from", rig.area(link.from().device()).words())
                        .with("to", rig.area(link.to().device()).words())
                        .made());
    }

    private static boolean isBetweenMains(Rig rig, Link link) {
        DeviceId from = link.from().device();
        DeviceId to = link.to().device();
        return rig.area(from) != rig.area(to) && isOnMains(rig, from) && isOnMains(rig, to);
    }

    private static boolean isOnMains(Rig rig, DeviceId device) {
        return rig.model(device)
                .power()
                .filter(power -> power.sources().contains(Power.Source.MAINS)
                        || power.sources().contains(Power.Source.SUPPLY))
                .isPresent();
    }
}
