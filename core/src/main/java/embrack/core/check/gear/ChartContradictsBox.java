package embrack.core.check.gear;

import embrack.core.chart.Action;
import embrack.core.chart.ChartWords;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Model;
import embrack.core.midi.Channel;
import embrack.core.name.Words;
import embrack.core.rig.Device;
import embrack.core.switches.Assignment;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What is sent comes from the chart; if the box does something else with it, every switch that uses it is wrong. */
final class ChartContradictsBox implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("gear.chart-contradicts-box", "The chart says one thing and the box does another");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().rig().models().stream().flatMap(model -> finding(subject, model).stream());
    }

    private Optional<Finding> finding(Subject subject, Model model) {
        List<Action> wrong = model.contradictedActions();
        if (wrong.isEmpty()) {
            return Optional.empty();
        }
        List<Device> devices = subject.plan().rig().devices().stream()
                .filter(d -> d.model().equals(model.id()))
                .toList();
        List<Assignment> users = devices.stream()
                .flatMap(d -> subject.plan().switches().using(d.id()).stream())
                .filter(a -> a.steps().stream().anyMatch(s -> wrong.contains(s.action())))
                .toList();
        boolean mendable = model.withChartCorrected().contradictedActions().isEmpty();
        return Optional.of(new Finding(
                info(),
                users.isEmpty() ? Severity.LOOK : Severity.STOPS,
                Words.list(devices.stream().map(Device::name).toList()) + ", chart of " + model.name(),
                example(model, wrong.getFirst())
                        + (wrong.size() == 1
                                ? ""
                                : " %d of the chart's %d lines are wrong in this way."
                                        .formatted(wrong.size(), model.actions().size())),
                users.isEmpty()
                        ? "No switch uses these lines yet; the first that does will do the wrong thing."
                        : "Embrack sends what the chart says, so switches do something else than was meant.",
                mendable
                        ? "Correct the chart to the values that the box obeys, then program the switches anew."
                        : "Look the message up in the manual again and correct the chart.",
                users.stream().map(Assignment::at).toList(),
                mendable
                        ? Optional.of(new Remedy("Correct the chart", new GearEdit.CorrectChart(model.id())))
                        : Optional.empty()));
    }

    private static String example(Model model, Action action) {
        List<Action> done = model.answers().reactionsToChart(action);
        return "The chart has %s for \"%s\", but the box %s."
                .formatted(
                        Words.list(model.messagesFor(action, new Channel(Channel.FIRST)).orElseThrow().stream()
                                .map(ChartWords::of)
                                .toList()),
                        model.words(action),
                        done.isEmpty()
                                ? "ignores it"
                                : "takes it as \"%s\""
                                        .formatted(Words.list(
                                                done.stream().map(model::words).toList())));
    }
}
