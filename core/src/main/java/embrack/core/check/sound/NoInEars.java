package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.rig.Device;
import embrack.core.rig.Ear;
import embrack.core.rig.Feed;
import embrack.core.rig.Rig;
import embrack.core.rig.Sound;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A click that nobody's ears get. Without in-ears there is no click. */
final class NoInEars implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("sound.no-in-ears", "Nobody gets the click");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.devices().stream()
                .flatMap(device -> Stream.of(Sound.CLICK, Sound.GUIDE)
                        .filter(sound -> isLostOn(device, sound))
                        .map(sound -> new Finding(
                                info(),
                                Severity.LOOK,
                                device.name().text(),
                                "%s plays the %s, and no in-ears get it.".formatted(device.name(), sound.words()),
                                "Players have nothing to follow; floor wedges would give it to the first rows.",
                                "Send an output with it to in-ears. Without in-ears, play without a click. "
                                        + "Set limiters and start low: a click can hurt ears.",
                                List.of(),
                                Optional.empty())));
    }

    private static boolean isLostOn(Device device, Sound sound) {
        List<Feed> with = device.feeds().values().stream()
                .filter(feed -> feed.sounds().contains(sound))
                .toList();
        return !with.isEmpty() && with.stream().noneMatch(feed -> feed.to().contains(Ear.IN_EARS));
    }
}
