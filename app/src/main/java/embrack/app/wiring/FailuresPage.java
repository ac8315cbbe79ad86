package embrack.app.wiring;

import embrack.core.loss.Loss;
import embrack.core.loss.SinglePoints;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Comparison;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.switches.SwitchAt;
import java.util.List;

/** What one failure takes away, worst first, and what pairs survive. */
record FailuresPage(int switches, List<Point> points, List<PairView> pairs) {

    /** A single point; {@code dark} what goes dark with it. */
    record Point(String fails, int lost, String which, String dark) {
    }

    /** A pair: what its show goes on without, what not, and where the two differ. */
    record PairView(String first, String second, String survives, String survivesNot, List<Comparison.Difference> differences) {
    }

    static FailuresPage of(Plan plan) {
        Rig rig = plan.rig();
        List<Loss> all = SinglePoints.withSurvived(plan);
        return new FailuresPage((int) plan.switches().assignments().stream().filter(a -> !a.steps().isEmpty()).count(),
                all.stream().filter(loss -> !loss.switches().isEmpty()).map(loss -> point(plan, loss)).toList(),
                rig.pairs().stream().map(pair -> pair(plan, pair, all)).toList());
    }

    private static Point point(Plan plan, Loss loss) {
        return new Point(loss.failure().words(plan.rig()), loss.switches().size(), plan.words(loss.switches()), Words.list(loss.dark().stream().map(plan.rig()::name).toList()));
    }

    private static PairView pair(Plan plan, Pair pair, List<Loss> all) {
        Rig rig = plan.rig();
        List<SwitchAt> users = plan.switches().using(pair.first()).stream().map(a -> a.at()).toList();
        return new PairView(rig.name(pair.first()).text(), rig.name(pair.second()).text(),
                Words.list(all.stream().filter(loss -> loss.survived().stream().anyMatch(users::contains)).map(loss -> loss.failure().words(rig)).toList()),
                Words.list(all.stream().filter(loss -> loss.switches().stream().anyMatch(users::contains)).map(loss -> loss.failure().words(rig)).toList()),
                Comparison.of(rig, pair));
    }
}
