package embrack.core.check.switches;

import embrack.core.check.remedy.OtherHardware;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.Obstacle;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A step needs a type of message that the board cannot send. */
final class CannotSend implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "cannot-send");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<DeviceId, Map<MessageType, List<SwitchAt>>> byBoard = Stopped.all(subject, Obstacle.CannotSend.class)
                .collect(Collectors.groupingBy(
                        s -> s.at().board(),
                        TreeMap::new,
                        Collectors.groupingBy(
                                s -> s.obstacle().type(),
                                TreeMap::new,
                                Collectors.mapping(Stopped::at, Collectors.toList()))));
        return byBoard.entrySet().stream()
                .flatMap(board -> board.getValue().entrySet().stream()
                        .map(type -> finding(subject.plan(), board.getKey(), type.getKey(), type.getValue())));
    }

    private Finding finding(Plan plan, DeviceId board, MessageType type, List<SwitchAt> switches) {
        return found(Severity.STOPS)
                .about(switches)
                .with("board", board)
                .with("model", plan.rig().model(board).name())
                .with("sends", plan.board(switches.getFirst()).sendsWords())
                .with("needs", type.plural())
                .mend(OtherHardware.instead(plan, board))
                .made();
    }
}
