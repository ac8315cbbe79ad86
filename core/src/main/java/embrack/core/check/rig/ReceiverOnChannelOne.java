package embrack.core.check.rig;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Purpose;
import embrack.core.rig.Rig;
import java.util.stream.Stream;

/** Channel 1 is what every box sends on when it is new or reset. Common practice, no source. */
final class ReceiverOnChannelOne implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.RIG, "receiver-on-channel-one");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.devices().stream()
                .filter(d -> rig.setting(d.id(), Purpose.RECEIVE_CHANNEL)
                        .filter(channel -> channel == 1)
                        .isPresent())
                .map(d -> found(Severity.NOTE).with("device", d).made());
    }
}
