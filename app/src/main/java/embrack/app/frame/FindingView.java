package embrack.app.frame;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import org.jspecify.annotations.Nullable;

/**
 * A finding as pages show it.
 *
 * @param remedy what the button says that mends it; null when there is none
 */
public record FindingView(
        Mark mark,
        String code,
        String where,
        String what,
        String why,
        String fix,
        @Nullable String remedy) {

    public static FindingView of(Finding finding) {
        return new FindingView(
                Mark.of(finding.severity()),
                finding.code(),
                finding.where(),
                finding.what(),
                finding.why(),
                finding.fix(),
                finding.remedy().map(Remedy::label).orElse(null));
    }
}
