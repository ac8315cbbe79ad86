package embrack.core.check.switches;

import embrack.core.chart.Chart;
import embrack.core.chart.LearnableId;
import embrack.core.chart.PartId;
import embrack.core.check.remedy.OtherHardware;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.compile.Obstacle;
import embrack.core.edit.Edit;
import embrack.core.edit.InTurn;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.WalkEdit;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A switch that sends what its factory chose is to send something else. */
final class SendsItsOwn implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "sends-its-own");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<DeviceId, List<Stopped<Obstacle.SendsItsOwn>>> byBoard = Stopped.all(subject, Obstacle.SendsItsOwn.class)
                .collect(Collectors.groupingBy(s -> s.at().board(), TreeMap::new, Collectors.toList()));
        return byBoard.entrySet().stream().map(e -> finding(subject.plan(), e.getKey(), e.getValue()));
    }

    /** What the receiver learned can be learned anew, from what the switch sends. */
    private static Optional<Remedy> learnIt(Plan plan, Stopped<Obstacle.SendsItsOwn> stopped) {
        DeviceId device = stopped.step().step().device();
        LearnableId learnable = LearnableId.of(stopped.step().step().action());
        return Optional.ofNullable(plan.rig().device(device).learned().get(learnable))
                .map(learned -> new NumberEdit.PinNumber(device, learnable, learned.type(), "", ""))
                .map(edit -> new Remedy("learn", edit));
    }

    /** The programs that switches send can be made to choose what is wanted, where the table can be edited. */
    private static Optional<Remedy> writeThem(Plan plan, List<Stopped<Obstacle.SendsItsOwn>> stopped) {
        List<Edit> edits = stopped.stream()
                .flatMap(one -> write(plan, one).stream())
                .<Edit>map(edit -> edit)
                .distinct()
                .toList();
        return edits.isEmpty()
                ? Optional.empty()
                : Optional.of(new Remedy("write", edits.size() == 1 ? edits.getFirst() : new InTurn(edits)));
    }

    private static Optional<WalkEdit.ChooseProgram> write(Plan plan, Stopped<Obstacle.SendsItsOwn> stopped) {
        DeviceId device = stopped.step().step().device();
        PartId part = stopped.step().step().action().part();
        Chart chart = plan.rig().chart(device);
        int program = stopped.obstacle().number();
        return stopped.obstacle().type() == MessageType.PROGRAM_CHANGE
                        && chart.table().containsKey(program)
                        && chart.beside().editable().contains(part)
                ? Optional.of(new WalkEdit.ChooseProgram(
                        device,
                        String.valueOf(
                                program + chart.conventions().shownPrograms().first()),
                        plan.rig().partName(device, part).text()))
                : Optional.empty();
    }

    private static Phrase sent(Stopped<Obstacle.SendsItsOwn> stopped) {
        return Phrase.of("core/check/switches", "sends-its-own.sent")
                .with("switch", stopped.at().words())
                .with("type", stopped.obstacle().type().shortName())
                .with("value", stopped.obstacle().number());
    }

    private Finding finding(Plan plan, DeviceId board, List<Stopped<Obstacle.SendsItsOwn>> stopped) {
        List<SwitchAt> switches = stopped.stream().map(Stopped::at).distinct().toList();
        List<Phrase> sent = stopped.stream().map(SendsItsOwn::sent).distinct().toList();
        return found(Severity.STOPS)
                .about(switches)
                .with("board", board)
                .with("sent", sent)
                .mend(learnIt(plan, stopped.getFirst()))
                .mend(writeThem(plan, stopped))
                .mend(OtherHardware.instead(plan, board))
                .made();
    }
}
