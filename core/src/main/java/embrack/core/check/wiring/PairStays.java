package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.GearEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Condition;
import embrack.core.gear.PortId;
import embrack.core.gear.Setting;
import embrack.core.gear.Sound;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.rig.StandBy;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** The second one of a pair does not come in by itself when the first fails. */
final class PairStays implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "pair-stays");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.pairs().stream()
                .flatMap(pair -> StandBy.of(rig, pair).stream()
                        .filter(standBy -> !standBy.isByItself())
                        .map(standBy -> finding(rig, pair, standBy)));
    }

    private Finding finding(Rig rig, Pair pair, StandBy standBy) {
        Found found = found(Severity.LOOK)
                .with("one", pair.first())
                .with("other", pair.second())
                .with("guard", standBy.guard());
        if (standBy.byHand().isPresent()) {
            Condition condition = standBy.byHand().get();
            Setting setting = rig.settingOf(standBy.guard(), condition);
            String needed = setting.shown(condition.value());
            return found.cause("by-hand")
                    .with("setting", setting.name())
                    .with("now", rig.shown(standBy.guard(), condition))
                    .with("needed", needed)
                    .mend("set", new GearEdit.ChangeSetting(standBy.guard(), setting.id(), needed))
                    .made();
        }
        PortId output = standBy.heartbeat().orElseThrow();
        standBy.found().ifPresent(elsewhere -> found.with("elsewhere", new Socket(standBy.guard(), elsewhere)));
        return found.cause(standBy.found().isPresent() ? "elsewhere" : "missing")
                .with("output", new Socket(standBy.guard(), output))
                .mend(heartbeat(rig, standBy, output))
                .made();
    }

    /** The heartbeat on the output where it has to be, if nothing else is there. */
    private static Optional<Remedy> heartbeat(Rig rig, StandBy standBy, PortId output) {
        return rig.device(standBy.guard()).feed(output).isUsed()
                ? Optional.empty()
                : Optional.of(new Remedy(
                        "put", new WiringEdit.Hear(standBy.guard(), output, Set.of(Sound.HEARTBEAT), Set.of())));
    }
}
