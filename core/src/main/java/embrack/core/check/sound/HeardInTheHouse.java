package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Ear;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import embrack.core.rig.Device;
import embrack.core.rig.Feed;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.word.Fact;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Click, guide or heartbeat goes to the audience. */
final class HeardInTheHouse implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "heard-in-the-house");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.devices().stream()
                .flatMap(device -> device.feeds().entrySet().stream()
                        .filter(e -> e.getValue().to().contains(Ear.HOUSE)
                                && e.getValue().sounds().stream().anyMatch(Sound::isSecret)
                                && !subject.sound().isJoined(new Socket(device.id(), e.getKey())))
                        .map(e -> finding(rig, device, e.getKey(), e.getValue())));
    }

    private Finding finding(Rig rig, Device device, PortId output, Feed feed) {
        boolean alone = feed.sounds().stream().allMatch(Sound::isSecret);
        Set<Ear> elsewhere = feed.sounds().equals(Set.of(Sound.HEARTBEAT)) ? Set.of() : Set.of(Ear.IN_EARS);
        Optional<Remedy> remedy = alone
                ? Optional.of(new Remedy(
                        elsewhere.isEmpty() ? "nowhere" : "in-ears",
                        new WiringEdit.Hear(device.id(), output, feed.sounds(), elsewhere)))
                : Optional.empty();
        return wayOut(rig, device, alone)
                .with("output", new Socket(device.id(), output))
                .with(
                        "sounds",
                        feed.sounds().stream()
                                .filter(Sound::isSecret)
                                .map(sound -> Fact.word(sound.words()))
                                .toList())
                .mend(remedy)
                .made();
    }

    private Found wayOut(Rig rig, Device device, boolean alone) {
        List<Port> free = rig.model(device.id()).outputs().stream()
                .filter(port -> !device.feed(port.id()).isUsed())
                .toList();
        int outputs = rig.model(device.id()).outputs().size();
        Found found = found(Severity.STOPS).with("outputs", outputs);
        if (alone) {
            return found.cause("alone");
        }
        return free.isEmpty()
                ? found.cause(outputs == 2 ? "one-short" : "short")
                : found.cause("free").with("free", free.getFirst().name());
    }
}
