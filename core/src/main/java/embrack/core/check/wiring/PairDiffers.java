package embrack.core.check.wiring;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.GearEdit;
import embrack.core.rig.Comparison;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.stream.Stream;

/** Two devices that stand in for each other and are not alike. */
final class PairDiffers implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.WIRING, "pair-differs");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Rig rig = subject.plan().rig();
        return rig.pairs().stream()
                .filter(pair -> !Comparison.of(rig, pair).isEmpty())
                .map(pair -> finding(pair, Comparison.of(rig, pair)));
    }

    private Finding finding(Pair pair, List<Comparison.Difference> differences) {
        List<Phrase> list = differences.stream()
                .map(d -> Phrase.of("core/check/wiring", "pair-differs.difference")
                        .with("what", d.what())
                        .with("first", d.first())
                        .with("second", d.second()))
                .toList();
        return found(Severity.LOOK)
                .with("one", pair.first())
                .with("other", pair.second())
                .with("differences", list)
                .mend("second-as-first", new GearEdit.SetAlike(pair.second(), pair.first()))
                .mend("first-as-second", new GearEdit.SetAlike(pair.first(), pair.second()))
                .made();
    }
}
