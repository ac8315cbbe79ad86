package embrack.core.check.lights;

import embrack.core.check.rule.Edited;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.light.Chase;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.plan.Plan;
import embrack.core.show.Song;
import embrack.core.stage.Flashes;
import embrack.core.stage.Scenery;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Stream;

/** The picture flashes more than three times a second. */
final class TooManyFlashes implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.LIGHTS, "too-many-flashes");
    }

    @Override
    public boolean isLeftAlone(Edited edited) {
        return edited.isLightAlike() && edited.isPlayedAlike();
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Plan plan = subject.plan();
        return Stream.of(
                        plan.lights().looks().stream().flatMap(look -> finding(plan.lights(), look)),
                        plan.lights().chases().stream().flatMap(chase -> finding(plan.lights(), chase)),
                        plan.book().songs().stream().flatMap(song -> finding(plan, song)))
                .flatMap(Function.identity());
    }

    private Stream<Finding> finding(Lights lights, Chase chase) {
        return Flashes.of(lights, chase).stream()
                .map(flashes -> found(Severity.LOOK)
                        .cause("chase")
                        .with("look", chase.name())
                        .with("rate", rate(flashes))
                        .made());
    }

    private Stream<Finding> finding(Lights lights, Look look) {
        return Flashes.of(lights, look).stream()
                .map(flashes -> found(Severity.LOOK)
                        .cause("look")
                        .with("look", look.name())
                        .with("rate", rate(flashes))
                        .made());
    }

    private Stream<Finding> finding(Plan plan, Song song) {
        return Flashes.of(plan.lights(), Scenery.of(plan, song), song.lengthMicros()).stream()
                .map(flashes -> found(Severity.LOOK)
                        .cause("song")
                        .with("song", song.title())
                        .with("rate", rate(flashes))
                        .with("from", flashes.fromMicros())
                        .with("to", flashes.toMicros())
                        .made());
    }

    private static String rate(Flashes flashes) {
        return String.format(Locale.ROOT, "%.1f", flashes.rate());
    }
}
