package embrack.core.check.lights;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.light.Lights;
import embrack.core.light.Output;
import embrack.core.plan.Plan;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.stage.Scenery;
import embrack.core.stage.Sight;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A song begins in the dark at once behind somebody who speaks, and who then walks off over edges and cables. */
final class DarkWhileWalking implements Rule {

    /** Nobody is off the stage sooner. Common practice, no source. */
    private static final long WALK_MICROS = 5_000_000;

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.LIGHTS, "dark-while-walking");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        List<Entry> order = plan.book().tonight().map(Show::order).orElse(List.of());
        return IntStream.range(1, order.size())
                .filter(i -> order.get(i - 1).item().isSpoken()
                        && order.get(i - 1).transition().gapMicros() < WALK_MICROS)
                .boxed()
                .flatMap(i -> order.get(i).song().flatMap(plan.book()::find).stream()
                        .filter(song -> beginsDark(plan, song))
                        .map(song -> found(Severity.LOOK)
                                .with("part", order.get(i - 1).name())
                                .with("song", song.title())
                                .made()));
    }

    private static boolean beginsDark(Plan plan, Song song) {
        return Scenery.of(plan, song).stream()
                .filter(sight -> sight.micros() <= 0)
                .reduce((earlier, later) -> later)
                .filter(sight -> isDark(plan.lights(), sight))
                .isPresent();
    }

    private static boolean isDark(Lights lights, Sight sight) {
        return sight.isBlackedOut()
                || sight.chase().isEmpty()
                        && sight.look()
                                .map(lights::shown)
                                .filter(shown ->
                                        !shown.isEmpty() && shown.stream().allMatch(Output::isDark))
                                .isPresent();
    }
}
