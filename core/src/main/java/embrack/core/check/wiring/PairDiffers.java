package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.rig.Comparison;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Two devices that stand in for each other and are not alike. */
final class PairDiffers implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("wiring.pair-differs", "A and B are not alike");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.pairs().stream()
                .filter(pair -> !Comparison.of(rig, pair).isEmpty())
                .map(pair -> finding(rig, pair, Comparison.of(rig, pair)));
    }

    private Finding finding(Rig rig, Pair pair, List<Comparison.Difference> differences) {
        String list = differences.stream()
                .map(d -> "%s: %s, %s".formatted(d.what(), d.first(), d.second()))
                .collect(Collectors.joining("; "));
        return new Finding(
                info(),
                Severity.LOOK,
                "%s, %s".formatted(rig.name(pair.first()), rig.name(pair.second())),
                "%s and %s differ. %s.".formatted(rig.name(pair.first()), rig.name(pair.second()), list),
                "When the second takes over, the show sounds or runs differently.",
                "Set both alike, then compare again.",
                List.of(),
                Optional.empty());
    }
}
