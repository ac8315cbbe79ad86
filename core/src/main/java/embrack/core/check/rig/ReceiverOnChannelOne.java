package embrack.core.check.rig;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.gear.SettingId;
import embrack.core.rig.Rig;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Channel 1 is what every box sends on when it is new or reset. Common practice, no source. */
final class ReceiverOnChannelOne implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("rig.receiver-on-channel-one", "A receiver listens on channel 1");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.devices().stream()
                .filter(d -> rig.setting(d.id(), SettingId.RECEIVE_CHANNEL)
                        .filter(channel -> channel == 1)
                        .isPresent())
                .map(d -> new Finding(
                        info(),
                        Severity.NOTE,
                        d.name().text(),
                        "%s listens on channel 1.".formatted(d.name()),
                        "Channel 1 is what most boxes send on when they are new or reset, so a stray box can reach it.",
                        "Choose a channel from 2 upwards, here and on the board that sends to it.",
                        List.of(),
                        Optional.empty()));
    }
}
