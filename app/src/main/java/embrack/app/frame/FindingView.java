package embrack.app.frame;

import embrack.core.check.Healing.Healed;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Told;
import embrack.core.plan.Plan;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A finding as pages show it.
 *
 * @param key what finds it again: its facts in one line
 * @param waysOut what mends it, as far as that was tried already
 */
public record FindingView(
        Mark mark, String code, String key, String where, String what, String why, String fix, List<WayOut> waysOut) {

    /**
     * A remedy that was tried.
     *
     * @param number which one it is, from 0
     * @param button what its button says
     * @param more how many other findings it settles too
     */
    public record WayOut(int number, String button, int more) {}

    /** A finding of a plan, to whoever asks, before what mends it is tried. */
    public static FindingView of(Finding finding, Plan plan) {
        return of(finding, Told.of(finding, plan, Spoken.language()), List.of());
    }

    /** A finding with all that mends it. */
    public static FindingView healed(Finding finding, Report report) {
        List<Healed> healed = report.healing().of(finding);
        List<Told> told = healed.stream()
                .map(each -> each.told(report.plan(), Spoken.language()))
                .toList();
        return of(
                finding,
                told.stream().findFirst().orElseGet(() -> Told.of(finding, report.plan(), Spoken.language())),
                IntStream.range(0, told.size())
                        .mapToObj(i -> new WayOut(
                                i,
                                told.get(i).button().orElseThrow(),
                                healed.get(i).settled() - 1))
                        .toList());
    }

    private static FindingView of(Finding finding, Told told, List<WayOut> waysOut) {
        return new FindingView(
                Mark.of(finding.severity()),
                finding.code(),
                finding.key(),
                told.where(),
                told.what(),
                told.why(),
                told.fix(),
                waysOut);
    }

    /** Several findings of a plan. */
    public static List<FindingView> all(Stream<Finding> findings, Plan plan) {
        return findings.map(finding -> of(finding, plan)).toList();
    }
}
