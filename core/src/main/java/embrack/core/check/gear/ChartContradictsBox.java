package embrack.core.check.gear;

import embrack.core.chart.Action;
import embrack.core.chart.ChartWords;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Model;
import embrack.core.gear.Slip;
import embrack.core.midi.Channel;
import embrack.core.rig.Device;
import embrack.core.show.CueAt;
import embrack.core.switches.Assignment;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What is sent comes from the chart; if the box does something else with it, every switch that uses it is wrong. */
final class ChartContradictsBox implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.GEAR, "chart-contradicts-box");
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
        List<CueAt> cues = subject.plan().book().songs().stream()
                .flatMap(song -> song.cues().stream()
                        .filter(cue -> cue.steps().stream()
                                .anyMatch(s -> wrong.contains(s.action())
                                        && devices.stream().anyMatch(d -> d.id().equals(s.device()))))
                        .map(cue -> new CueAt(song.id(), cue.number())))
                .toList();
        List<Assignment> users = devices.stream()
                .flatMap(d -> subject.plan().switches().using(d.id()).stream())
                .filter(a -> a.steps().stream().anyMatch(s -> wrong.contains(s.action())))
                .toList();
        return Optional.of(found(users.isEmpty() && cues.isEmpty() ? Severity.LOOK : Severity.STOPS)
                .about(users.stream().map(Assignment::at).toList())
                .in(cues)
                .with("boxes", devices)
                .with("model", model.name())
                .with("messages", messages(model, wrong.getFirst()))
                .with("action", model.words(wrong.getFirst()))
                .with(
                        "done",
                        model.implementation().reactionsToChart(wrong.getFirst()).stream()
                                .map(model::words)
                                .toList())
                .word("slip", slip(model, wrong))
                .with("wrong", wrong.size())
                .with("lines", model.actions().size())
                .word("used", users.isEmpty() && cues.isEmpty() ? "no" : "yes")
                .mend(
                        model.withChartCorrected().contradictedActions().isEmpty()
                                ? Optional.of(new Remedy("correct", new GearEdit.CorrectChart(model.id())))
                                : Optional.empty())
                .made());
    }

    /** How all wrong lines miss, if it is one way. */
    private static String slip(Model model, List<Action> wrong) {
        Set<Slip> slips = wrong.stream().map(model.implementation()::slip).collect(Collectors.toSet());
        return slips.size() == 1
                ? slips.iterator().next().name().toLowerCase(Locale.ROOT).replace('_', '-')
                : "several";
    }

    private static List<String> messages(Model model, Action action) {
        return model.messagesFor(action, new Channel(Channel.FIRST)).orElseThrow().stream()
                .map(ChartWords::of)
                .toList();
    }
}
