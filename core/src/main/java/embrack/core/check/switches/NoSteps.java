package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A switch wears a name and does nothing. */
final class NoSteps implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.no-steps", "A switch has a name and no steps");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().switches().assignments().stream()
                .filter(a -> a.steps().isEmpty()
                        && (a.label().isPresent() || a.duty().isPresent()))
                .map(a -> new Finding(
                        info(),
                        Severity.NOTE,
                        subject.plan().words(a.at()),
                        a.label()
                                .map("The switch is called %s and does nothing yet."::formatted)
                                .orElseGet(() -> "The switch is to be the one for \"%s\" and does nothing yet."
                                        .formatted(a.duty().orElseThrow().words())),
                        "Whoever reads the tape will press it and wait.",
                        "Add its steps, or clear it.",
                        List.of(a.at()),
                        Optional.empty()));
    }
}
