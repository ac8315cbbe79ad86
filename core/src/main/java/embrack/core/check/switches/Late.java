package embrack.core.check.switches;

import embrack.core.check.remedy.Shorter;
import embrack.core.check.remedy.Spare;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.SwitchEdit;
import embrack.core.offer.SpareSwitch;
import embrack.core.plan.Plan;
import embrack.core.sim.Proof;
import embrack.core.sim.Prover;
import embrack.core.sim.Verdict;
import embrack.core.switches.Moment;
import embrack.core.way.Share;
import embrack.core.way.Timing;
import embrack.core.way.Wait;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The last message of a press arrives later than people forgive. */
final class Late implements Rule {

    private static final long MILLI = 1_000;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "late");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        var timing = new Timing(subject.ways());
        Map<Optional<Share>, List<Proof>> byShare = subject.proofs().stream()
                .filter(proof -> proof.verdict() == Verdict.LATE && !HeldBack.explains(proof))
                .collect(Collectors.groupingBy(
                        proof -> Shorter.largest(
                                        timing,
                                        proof.compiled().steps(proof.last().moment()))
                                .filter(share -> share.sort() != Wait.QUEUE && share.sort() != Wait.WIRE),
                        LinkedHashMap::new,
                        Collectors.toList()));
        return byShare.entrySet().stream()
                .flatMap(e -> e.getKey().isPresent()
                        ? Stream.of(finding(subject.plan(), e.getKey(), e.getValue()))
                        : e.getValue().stream()
                                .map(proof -> finding(subject.plan(), Optional.empty(), List.of(proof))));
    }

    private Finding finding(Plan plan, Optional<Share> share, List<Proof> proofs) {
        Proof worst =
                proofs.stream().max(Comparator.comparing(Proof::worstMicros)).orElseThrow();
        Moment moment = worst.last().moment();
        Found found = found(Severity.LOOK)
                .about(proofs.stream().map(Proof::at).toList())
                .word("moment", moment.key())
                .with("messages", worst.compiled().sent(moment).size())
                .with("worst", rounded(worst.worstMicros()))
                .with("limit", Prover.LATEST_MICROS / MILLI)
                .cause(share.map(s -> s.sort().name().toLowerCase(Locale.ROOT)).orElse("messages"));
        share.ifPresent(s -> found.with("largest", s.where())
                .with("takes", rounded(s.delay().worst()))
                .mend(Shorter.than(plan, s)));
        return found.mend(SpareSwitch.near(plan, worst.at())
                        .filter(to -> worst.compiled().steps(moment).size() > 1)
                        .map(to -> new Remedy(
                                        "move-rest",
                                        new SwitchEdit.SpreadSteps(
                                                worst.at(),
                                                moment,
                                                worst.compiled().steps(moment).size() / 2,
                                                to))
                                .with("to", Spare.phrase(plan, to, worst.at()))))
                .made();
    }

    /** Whole milliseconds, never fewer than it takes. */
    private static long rounded(long micros) {
        return (micros + MILLI - 1) / MILLI;
    }
}
