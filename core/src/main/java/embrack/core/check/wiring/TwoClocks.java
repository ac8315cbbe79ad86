package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Ability;
import embrack.core.gear.Condition;
import embrack.core.gear.Setting;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.world.Engine;
import embrack.core.world.TempoLinks;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A box follows two clocks at once, or is set to follow one and none comes. */
final class TwoClocks implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "two-clocks");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        TempoLinks links = TempoLinks.of(subject.plan(), () -> new Engine(subject.plan(), subject.ways()));
        Rig rig = subject.plan().rig();
        return links.followed().entrySet().stream()
                .flatMap(e -> e.getValue().size() > 1
                        ? Stream.of(fight(rig, e.getKey(), e.getValue()))
                        : e.getValue().isEmpty() ? Stream.of(waits(rig, e.getKey(), links.senders())) : Stream.empty());
    }

    private Finding fight(Rig rig, DeviceId follower, List<DeviceId> senders) {
        var found = found(Severity.STOPS)
                .with("box", follower)
                .with("senders", senders)
                .cause("several");
        senders.reversed().forEach(sender -> found.mend(off(rig, sender, Ability.SENDS_CLOCK)));
        return found.made();
    }

    private Finding waits(Rig rig, DeviceId follower, List<DeviceId> senders) {
        return found(Severity.LOOK)
                .with("box", follower)
                .with("senders", senders)
                .cause("none")
                .mend(off(rig, follower, Ability.HEARS_SYNC))
                .made();
    }

    /** Sets what lets a box do something to anything else. */
    private static Optional<Remedy> off(Rig rig, DeviceId device, Ability ability) {
        Condition condition = rig.model(device).memory().conditions().stream()
                .filter(c -> c.ability() == ability)
                .findFirst()
                .orElseThrow();
        Setting setting = rig.settingOf(device, condition);
        return IntStream.rangeClosed(setting.min(), setting.max())
                .filter(value -> value != condition.value())
                .mapToObj(setting::shown)
                .findFirst()
                .map(value -> new Remedy("off", new GearEdit.ChangeSetting(device, setting.id(), value))
                        .with("setting", setting.name())
                        .with("device", device)
                        .with("value", value));
    }
}
