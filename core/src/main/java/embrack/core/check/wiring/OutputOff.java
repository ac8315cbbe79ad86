package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Halted;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.Obstacle;
import embrack.core.gear.Ability;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.switches.Switches;
import embrack.core.word.Fact;
import java.util.List;
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
        List<Halted> halted = subject.halted(Obstacle.KeptBack.class).stream()
                .flatMap(List::stream)
                .toList();
        return rig.devices().stream()
                .map(Device::id)
                .filter(d -> isWorked(subject.plan().switches(), d)
                        || rig.linksIn(d).stream().anyMatch(link -> isOut(rig, link, d))
                        || halted.stream().anyMatch(each -> isBy(each, d)))
                .flatMap(d -> rig
                        .unmet(d, Ability.SENDS)
                        .map(condition -> NotSet.about(
                                        found(Severity.STOPS)
                                                .halting(
                                                        subject.plan(),
                                                        halted.stream()
                                                                .filter(each -> isBy(each, d))
                                                                .toList()),
                                        rig,
                                        d,
                                        condition)
                                .made())
                        .stream());
    }

    /** Whether it is stopped since a device does not send. */
    private static boolean isBy(Halted halted, DeviceId device) {
        return halted.obstacle() instanceof Obstacle.KeptBack kept
                && kept.where().key().equals("output-off")
                && kept.where().facts().containsValue(new Fact.Box(device));
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
