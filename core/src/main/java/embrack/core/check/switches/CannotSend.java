package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.compile.Obstacle;
import embrack.core.midi.MessageType;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A step needs a type of message that the board cannot send. */
final class CannotSend implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.cannot-send", "The board cannot send that type of message");
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
        Optional<Remedy> remedy = new OtherHardware(plan, board).remedy();
        return new Finding(
                info(),
                Severity.STOPS,
                plan.words(switches),
                "%s, %s, sends only %s; these switches need %s."
                        .formatted(
                                plan.rig().name(board),
                                Words.a(plan.rig().model(board).name()),
                                plan.board(board).sendsWords(),
                                type.plural()),
                "These steps are never sent.",
                remedy.map(r -> "Have hardware that sends %s do the job of %s."
                                .formatted(type.plural(), plan.rig().name(board)))
                        .orElse("Find a board that sends %s, or a receiver that answers to %s."
                                .formatted(type.plural(), plan.board(board).sendsWords())),
                switches,
                remedy);
    }
}
