package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.midi.Wire;
import embrack.core.sim.Prover;
import embrack.core.sim.Verdict;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The last message of a press arrives later than people forgive. */
final class Late implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("switches.late", "The change comes late");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.proofs().stream()
                .filter(proof -> proof.verdict() == Verdict.LATE && !HeldBack.explains(proof))
                .map(proof -> new Finding(
                        info(),
                        Severity.LOOK,
                        subject.plan().words(proof.at()),
                        "The last of %d messages arrives %s after the press."
                                .formatted(proof.compiled().sent().size(), Wire.millis(proof.worstMicros())),
                        "Above %s people notice that the change does not come with the foot."
                                .formatted(Wire.millis(Prover.LATEST_MICROS)),
                        "Have the switch do less, or have the box recall it all with one message.",
                        List.of(proof.at()),
                        Optional.empty()));
    }
}
