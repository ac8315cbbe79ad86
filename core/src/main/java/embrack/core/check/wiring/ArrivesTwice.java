package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.way.Hop;
import embrack.core.way.Loops;
import embrack.core.way.SignalPath;
import embrack.core.way.Ways;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A board whose messages reach a receiver by two ways: what toggles does so twice. */
final class ArrivesTwice implements Rule {

    private static final int TWO = 2;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "arrives-twice");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        Set<DeviceId> round = new Loops(subject.ways())
                .all().stream()
                        .flatMap(loop -> loop.hops().stream())
                        .map(Hop::arrivesAt)
                        .collect(Collectors.toSet());
        return plan.boards().stream()
                .flatMap(board -> subject.ways().reach(board).stream()
                        .filter(receiver ->
                                !plan.rig().model(receiver).parts().isEmpty() && isMerged(subject.ways(), board))
                        .map(receiver -> subject.ways().all(board, receiver, TWO))
                        .filter(ways -> ways.size() == TWO)
                        .filter(ways -> ways.stream()
                                .flatMap(way -> way.hops().stream())
                                .noneMatch(hop -> round.contains(hop.arrivesAt())))
                        .map(ways -> finding(plan.rig(), board, ways)));
    }

    /** Whether the pieces that a board uses come together anywhere: some port or box is reached by two of them. */
    private static boolean isMerged(Ways ways, DeviceId board) {
        Set<Hop> pieces = ways.pieces(board);
        return pieces.stream().map(Hop::arrivesAt).distinct().count() < pieces.size();
    }

    private Finding finding(Rig rig, DeviceId board, List<SignalPath> ways) {
        DeviceId receiver = ways.getFirst().last().arrivesAt();
        return found(Severity.LOOK)
                .with("sender", board)
                .with("receiver", receiver)
                .with("one", ways.getFirst().words(rig))
                .with("other", ways.getLast().words(rig))
                .made();
    }
}
