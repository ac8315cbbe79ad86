package embrack.core.check.switches;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.sim.Prover;
import embrack.core.sim.Verdict;
import java.util.stream.Stream;

/** The last message of a press arrives later than people forgive. */
final class Late implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "late");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.proofs().stream()
                .filter(proof -> proof.verdict() == Verdict.LATE && !HeldBack.explains(proof))
                .map(proof -> found(Severity.LOOK)
                        .about(proof.at())
                        .word("moment", proof.last().moment().key())
                        .with(
                                "messages",
                                proof.compiled().sent(proof.last().moment()).size())
                        .with("worst", proof.worstMicros())
                        .with("limit", Prover.LATEST_MICROS)
                        .made());
    }
}
