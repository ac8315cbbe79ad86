package embrack.app.frame;

import embrack.core.check.Healing.Healed;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Told;
import embrack.core.plan.Plan;
import embrack.core.show.CueAt;
import embrack.core.word.Fact;
import embrack.core.word.Wording;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A finding as pages show it.
 *
 * @param key what finds it again: its facts in one line
 * @param explains what fails by it, each switch and cue in words; none where that is one thing
 * @param waysOut what mends it, as far as that was tried already
 */
public record FindingView(
        Mark mark,
        String code,
        String key,
        String where,
        String what,
        String why,
        String fix,
        List<String> explains,
        List<WayOut> waysOut) {

    private static final int FEW = 2;

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
        return of(finding, Told.of(finding, plan, Spoken.language()), plan, List.of());
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
                report.plan(),
                IntStream.range(0, told.size())
                        .mapToObj(i -> new WayOut(
                                i,
                                told.get(i).button().orElseThrow(),
                                healed.get(i).settled() - 1))
                        .toList());
    }

    private static FindingView of(Finding finding, Told told, Plan plan, List<WayOut> waysOut) {
        return new FindingView(
                Mark.of(finding.severity()),
                finding.code(),
                finding.key(),
                told.where(),
                told.what(),
                told.why(),
                told.fix(),
                explains(finding, plan),
                waysOut);
    }

    private static List<String> explains(Finding finding, Plan plan) {
        Wording wording = Spoken.of(plan);
        List<String> all = Stream.concat(
                        finding.switches().stream().map(at -> wording.switches(List.of(at))),
                        finding.cues().stream().flatMap(at -> explained(at, plan, wording).stream()))
                .toList();
        return all.size() < FEW ? List.of() : all;
    }

    private static Optional<String> explained(CueAt at, Plan plan, Wording wording) {
        return plan.book()
                .cue(at.song(), at.number(), false)
                .map(cue -> wording.say(Fact.of(plan.book().song(at.song()), cue)));
    }

    /** Several findings of a plan. */
    public static List<FindingView> all(Stream<Finding> findings, Plan plan) {
        return findings.map(finding -> of(finding, plan)).toList();
    }
}
