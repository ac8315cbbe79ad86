package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Ability;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.switches.Switches;
import java.util.stream.Stream;

/** A box is meant to send, and not set to. */
final class OutputOff implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "output-off");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.devices().stream()
                .filter(d -> isWorked(subject.plan().switches(), d.id())
                        || rig.linksIn(d.id()).stream().anyMatch(link -> isOut(rig, link, d.id())))
                .flatMap(d -> rig
                        .unmet(d.id(), Ability.SENDS)
                        .map(condition -> NotSet.about(found(Severity.STOPS), rig, d.id(), condition)
                                .made())
                        .stream());
    }

    /** Whether anything on it is meant to do something. */
    private static boolean isWorked(Switches switches, DeviceId device) {
        return switches.of(device).stream().anyMatch(a -> !a.steps().isEmpty())
                || switches.controlAssignments().stream()
                        .anyMatch(
                                c -> c.at().box().equals(device) && !c.targets().isEmpty());
    }

    /** Whether a link can only be there for what a device sends. */
    private static boolean isOut(Rig rig, Link link, DeviceId device) {
        return rig.kind(link) == LinkKind.INSIDE && link.from().device().equals(device);
    }
}
