package embrack.app.wiring;

import embrack.core.loss.Loss;
import embrack.core.loss.SinglePoints;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Comparison;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.sound.SoundLoss;
import embrack.core.sound.SoundPaths;
import embrack.core.switches.SwitchAt;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What one failure takes away, worst first, and what pairs survive.
 *
 * @param sound what nobody hears any more without one lead or box, worst first
 */
record FailuresPage(int switches, List<Point> points, List<SoundPoint> sound, List<PairView> pairs) {

    /** As many single points of sound as are shown. */
    private static final int MOST_SOUND = 30;

    /** A lead or box; what is lost with it, one line a sound. */
    record SoundPoint(String fails, int ears, List<String> lost) {}

    /** Single points that take the same away. */
    record Point(List<Single> singles, int lost, String which) {}

    /** One of them; {@code dark} what goes dark with it. */
    record Single(String fails, String dark) {}

    /** A pair: what its show goes on without, what not, and where the two differ. */
    record PairView(
            String first,
            String second,
            List<String> survives,
            List<String> survivesNot,
            List<Comparison.Difference> differences) {}

    static FailuresPage of(Plan plan) {
        Rig rig = plan.rig();
        List<Loss> all = SinglePoints.withSurvived(plan);
        return new FailuresPage(
                (int) plan.switches().assignments().stream()
                        .filter(a -> !a.steps().isEmpty())
                        .count(),
                all.stream()
                        .filter(loss -> !loss.switches().isEmpty())
                        .collect(Collectors.groupingBy(Loss::switches, LinkedHashMap::new, Collectors.toList()))
                        .values()
                        .stream()
                        .map(losses -> point(plan, losses))
                        .toList(),
                SoundLoss.of(new SoundPaths(rig)).stream()
                        .limit(MOST_SOUND)
                        .map(loss -> sound(rig, loss))
                        .toList(),
                rig.pairs().stream().map(pair -> pair(plan, pair, all)).toList());
    }

    private static SoundPoint sound(Rig rig, SoundLoss loss) {
        return new SoundPoint(
                loss.link()
                        .map(link -> "the lead %s".formatted(rig.words(link)))
                        .orElseGet(() -> rig.name(loss.box().orElseThrow()).text()),
                (int) loss.lost().values().stream()
                        .flatMap(List::stream)
                        .distinct()
                        .count(),
                loss.lost().entrySet().stream()
                        .map(entry -> "%s: %s"
                                .formatted(
                                        entry.getKey().words(rig),
                                        Words.list(entry.getValue().stream()
                                                .map(listener -> listener.words(rig))
                                                .toList())))
                        .toList());
    }

    private static Point point(Plan plan, List<Loss> losses) {
        return new Point(
                losses.stream()
                        .map(loss -> new Single(
                                loss.failure().words(plan.rig()),
                                Words.list(loss.dark().stream()
                                        .map(plan.rig()::name)
                                        .toList())))
                        .toList(),
                losses.getFirst().switches().size(),
                plan.words(losses.getFirst().switches()));
    }

    private static PairView pair(Plan plan, Pair pair, List<Loss> all) {
        Rig rig = plan.rig();
        List<SwitchAt> users =
                plan.switches().using(pair.first()).stream().map(a -> a.at()).toList();
        return new PairView(
                rig.name(pair.first()).text(),
                rig.name(pair.second()).text(),
                all.stream()
                        .filter(loss -> loss.survived().stream().anyMatch(users::contains))
                        .map(loss -> loss.failure().words(rig))
                        .toList(),
                all.stream()
                        .filter(loss -> loss.switches().stream().anyMatch(users::contains))
                        .map(loss -> loss.failure().words(rig))
                        .toList(),
                Comparison.of(rig, pair));
    }
}
