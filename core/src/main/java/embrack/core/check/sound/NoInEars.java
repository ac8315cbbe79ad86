package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.rig.Device;
import embrack.core.rig.Ear;
import embrack.core.rig.Feed;
import embrack.core.rig.Rig;
import embrack.core.rig.Sound;
import java.util.List;
import java.util.stream.Stream;

/** A click that nobody's ears get. Without in-ears there is no click. */
final class NoInEars implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "no-in-ears");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.devices().stream()
                .flatMap(device -> Stream.of(Sound.CLICK, Sound.GUIDE)
                        .filter(sound -> isLostOn(device, sound))
                        .map(sound -> found(Severity.LOOK)
                                .with("device", device)
                                .word("sound", sound.words())
                                .made()));
    }

    private static boolean isLostOn(Device device, Sound sound) {
        List<Feed> with = device.feeds().values().stream()
                .filter(feed -> feed.sounds().contains(sound))
                .toList();
        return !with.isEmpty() && with.stream().noneMatch(feed -> feed.to().contains(Ear.IN_EARS));
    }
}
