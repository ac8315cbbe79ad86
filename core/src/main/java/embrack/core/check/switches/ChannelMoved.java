package embrack.core.check.switches;

import embrack.core.check.remedy.Passage;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Blame;
import embrack.core.sim.Cause;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A box on the way puts messages onto another channel than the one that they are meant for. */
final class ChannelMoved implements Rule {

    private record Move(DeviceId box, int to) {
        static Move of(Cause.Moved moved) {
            return new Move(moved.box(), moved.arrived().channel().number());
        }
    }

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "channel-moved");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject
                .blamed(Cause.Moved.class)
                .collect(Collectors.groupingBy(
                        blame -> Move.of((Cause.Moved) blame.cause()), LinkedHashMap::new, Collectors.toList()))
                .entrySet()
                .stream()
                .map(e -> finding(subject, e.getKey(), e.getValue()));
    }

    private Finding finding(Subject subject, Move move, List<Blame> blames) {
        Blame first = blames.getFirst();
        return found(subject.severity(blames))
                .blaming(subject.plan(), blames)
                .with("box", move.box())
                .with(
                        "from",
                        blames.stream()
                                .map(blame -> ((Cause.Moved) blame.cause())
                                        .sent()
                                        .channel()
                                        .number())
                                .distinct()
                                .sorted()
                                .toList())
                .with("to", move.to())
                .with("devices", blames.stream().map(Blame::device).distinct().toList())
                .mend(Passage.opened(
                        subject.ways(), first.sender(), first.device(), ((Cause.Moved) first.cause()).sent()))
                .made();
    }
}
