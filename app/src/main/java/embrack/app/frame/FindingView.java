package embrack.app.frame;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Told;
import embrack.core.plan.Plan;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A finding as pages show it.
 *
 * @param key what finds it again: its facts in one line
 * @param remedy what the button says that mends it; null when there is none
 */
public record FindingView(
        Mark mark,
        String code,
        String key,
        String where,
        String what,
        String why,
        String fix,
        @Nullable String remedy) {

    /** A finding of a plan, to whoever asks. */
    public static FindingView of(Finding finding, Plan plan) {
        Told told = Told.of(finding, plan, Spoken.language());
        return new FindingView(
                Mark.of(finding.severity()),
                finding.code(),
                finding.key(),
                told.where(),
                told.what(),
                told.why(),
                told.fix(),
                told.button().orElse(null));
    }

    /** Several findings of a plan. */
    public static List<FindingView> all(Stream<Finding> findings, Plan plan) {
        return findings.map(finding -> of(finding, plan)).toList();
    }
}
