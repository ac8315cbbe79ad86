package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.gear.SettingId;
import embrack.core.plan.GearEdit;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A board sends on one channel and the box that it means listens to another. */
final class ChannelMismatch implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.channel-mismatch", "The box listens to another channel");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<Stopped.Ends, List<Deafness>> byEnds = subject.proofs().stream().flatMap(Deafness::of)
                .collect(Collectors.groupingBy(d -> new Stopped.Ends(d.proof().at().board(), d.device()),
                        LinkedHashMap::new, Collectors.toList()));
        return byEnds.values().stream().map(deaf -> finding(subject.plan(), deaf));
    }

    private Finding finding(Plan plan, Collection<Deafness> all) {
        Deafness deaf = all.iterator().next();
        DeviceId device = deaf.device();
        List<SwitchAt> switches = all.stream().map(d -> d.proof().at()).toList();
        String setting = plan.rig().model(device).setting(SettingId.RECEIVE_CHANNEL).orElseThrow().name().text();
        int channel = deaf.sentOn().number();
        return new Finding(info(), Severity.STOPS, plan.words(switches),
                "%s sends on channel %d; %s listens on channel %d.".formatted(plan.rig().name(deaf.proof().at().board()),
                        channel, plan.rig().name(device), deaf.listensOn().number()),
                "%s hears these switches and ignores them.".formatted(plan.rig().name(device)),
                "Set %s of %s to %d, in the plan and on the box.".formatted(setting, plan.rig().name(device), channel),
                switches, Optional.of(new Remedy("Set %s to channel %d".formatted(plan.rig().name(device), channel),
                        new GearEdit.ChangeSetting(device, SettingId.RECEIVE_CHANNEL, String.valueOf(channel)))));
    }
}
