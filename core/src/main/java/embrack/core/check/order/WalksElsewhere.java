package embrack.core.check.order;

import embrack.core.chart.PartId;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.WalkEdit;
import embrack.core.name.TapeLabel;
import embrack.core.offer.Walk;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A board that counts goes through other sounds than tonight's order asks for. */
final class WalksElsewhere implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.ORDER, "walks-elsewhere");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        return Walk.boards(plan).stream()
                .flatMap(board -> Walk.receiver(plan, board)
                        .flatMap(receiver -> finding(plan, board, receiver, Walk.ofTheShow(plan, receiver)))
                        .stream());
    }

    /** The first step that brings another sound than is asked for. */
    private Optional<Finding> finding(Plan plan, DeviceId board, DeviceId receiver, List<Walk.Stop> stops) {
        List<Optional<PartId>> planned = Walk.planned(plan, board);
        for (int i = 0; i < stops.size(); i++) {
            Walk.Stop stop = stops.get(i);
            Optional<PartId> wanted = Walk.part(plan, receiver, stop.sound());
            Optional<PartId> there = i < planned.size() ? planned.get(i) : Optional.empty();
            if (wanted.isEmpty() || !wanted.equals(there)) {
                return Optional.of(found(Severity.LOOK)
                        .with("board", board)
                        .with("receiver", receiver)
                        .with("position", shown(plan, board, i))
                        .with("sound", stop.sound())
                        .with("song", stop.where().map(Walk.At::song).orElse(stop.sound()))
                        .with("section", stop.where().map(Walk.At::section).orElse(stop.sound()))
                        .with(
                                "there",
                                there.map(part -> plan.rig().partName(receiver, part))
                                        .orElse(stop.sound()))
                        .cause(wanted.isEmpty() ? "unknown" : there.isEmpty() ? "nothing" : "other")
                        .mend(
                                wanted.isEmpty()
                                        ? Optional.empty()
                                        : Optional.of(new Remedy("walk", new WalkEdit.WalkTheShow(board, receiver))))
                        .made());
            }
        }
        return Optional.empty();
    }

    /** A position as the board shows it. */
    private static TapeLabel shown(Plan plan, DeviceId board, int index) {
        return plan.bankName(new SwitchAt(board, index + 1, 1));
    }
}
