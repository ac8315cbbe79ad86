package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.name.Words;
import embrack.core.rig.Device;
import embrack.core.rig.Ear;
import embrack.core.rig.Feed;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.rig.Sound;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Click, guide or heartbeat goes to the audience. */
final class HeardInTheHouse implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("sound.heard-in-the-house", "The audience hears what only players should");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.devices().stream()
                .flatMap(device -> device.feeds().entrySet().stream()
                        .filter(e -> e.getValue().to().contains(Ear.HOUSE)
                                && e.getValue().sounds().stream().anyMatch(Sound::isSecret))
                        .map(e -> finding(rig, device, e.getKey(), e.getValue())));
    }

    private Finding finding(Rig rig, Device device, PortId output, Feed feed) {
        String secret = Words.list(
                feed.sounds().stream().filter(Sound::isSecret).map(Sound::words).toList());
        boolean alone = feed.sounds().stream().allMatch(Sound::isSecret);
        Set<Ear> elsewhere = feed.sounds().equals(Set.of(Sound.HEARTBEAT)) ? Set.of() : Set.of(Ear.IN_EARS);
        Optional<Remedy> remedy = alone
                ? Optional.of(new Remedy(
                        elsewhere.isEmpty() ? "Send it nowhere" : "Send it to in-ears only",
                        new WiringEdit.Hear(device.id(), output, feed.sounds(), elsewhere)))
                : Optional.empty();
        return new Finding(
                info(),
                Severity.STOPS,
                rig.words(new Socket(device.id(), output)),
                "The house hears the %s on %s.".formatted(secret, rig.words(new Socket(device.id(), output))),
                "The whole audience hears it.",
                alone ? "Send it to in-ears only; a heartbeat to nobody." : wayOut(rig, device, feed),
                List.of(),
                remedy);
    }

    private static String wayOut(Rig rig, Device device, Feed feed) {
        List<Port> free = rig.model(device.id()).outputs().stream()
                .filter(port -> !device.feed(port.id()).isUsed())
                .toList();
        if (!free.isEmpty()) {
            return "Move it to %s, which is free, and that to in-ears only."
                    .formatted(free.getFirst().name());
        }
        int outputs = rig.model(device.id()).outputs().size();
        return outputs == 2
                ? "The outputs are one short. Two sides of one socket: click on one side to in-ears, tracks in "
                        + "mono on the other to the house; or an interface with more outputs."
                : "The outputs are short: all %d are used. Take an interface with more, or tracks in mono."
                        .formatted(outputs);
    }
}
