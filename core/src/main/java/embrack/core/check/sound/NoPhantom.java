package embrack.core.check.sound;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.SoundEdit;
import embrack.core.gear.Phantom;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.sound.Leads;
import java.util.List;
import java.util.stream.Stream;

/** A microphone or DI that runs on 48 V gets none. */
final class NoPhantom implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "no-phantom");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        Leads leads = new Leads(subject.sound());
        return rig.devices().stream()
                .flatMap(device -> rig.sockets(device.id()).stream())
                .filter(socket -> rig.port(socket).signal().phantom() == Phantom.NEEDS
                        && subject.sound().isJoined(socket))
                .flatMap(output -> finding(rig, output, leads.feeders(output)));
    }

    private Stream<Finding> finding(Rig rig, Socket output, List<Socket> feeders) {
        boolean isFed = feeders.stream()
                .anyMatch(input -> rig.device(input.device()).sound().phantom().contains(input.port()));
        return isFed
                ? Stream.empty()
                : Stream.of(found(Severity.STOPS)
                        .with("output", output)
                        .with("device", output.device())
                        .with("inputs", feeders)
                        .cause(feeders.isEmpty() ? "nobody" : "off")
                        .mend((Remedies) () -> feeders.stream()
                                .map(input -> new Remedy(
                                        "on", new SoundEdit.SwitchPhantom(input.device(), input.port(), true))))
                        .made());
    }
}
