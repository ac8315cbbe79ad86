package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.Edit;
import embrack.core.edit.InTurn;
import embrack.core.edit.OrderEdit;
import embrack.core.show.Entry;
import embrack.core.show.Running;
import java.util.List;
import java.util.stream.Stream;

/** Nothing sounds behind a song until somebody presses. */
final class Silence implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.ORDER, "silence");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return Tonight.of(subject).stream()
                .filter(running -> !running.silences().isEmpty())
                .map(this::finding);
    }

    private Finding finding(Running running) {
        List<Entry> silent =
                running.silences().stream().map(Running.Part::entry).toList();
        return found(Severity.NOTE)
                .with("show", running.show().name())
                .with("parts", silent.stream().map(Entry::name).toList())
                .mend(
                        "lay-pad",
                        new InTurn(silent.stream()
                                .<Edit>map(entry ->
                                        new OrderEdit.LayPad(running.show().id(), entry.number()))
                                .toList()))
                .made();
    }
}
