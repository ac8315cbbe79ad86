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
import java.util.stream.Stream;

/** 48 V come to an output that they can spoil. */
final class PhantomHarms implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SOUND, "phantom-harms");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        Leads leads = new Leads(subject.sound());
        return rig.devices().stream()
                .flatMap(device -> device.sound().phantom().stream()
                        .map(port -> new Socket(device.id(), port))
                        .flatMap(input -> leads.fedBy(input).stream()
                                .filter(output -> rig.port(output).signal().phantom() == Phantom.HARMED)
                                .map(output -> found(Severity.STOPS)
                                        .with("input", input)
                                        .with("output", output)
                                        .mend(Remedies.of(new Remedy(
                                                "off",
                                                new SoundEdit.SwitchPhantom(input.device(), input.port(), false))))
                                        .made())));
    }
}
