package embrack.core.check.songs;

import embrack.core.chart.Aspect;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.plan.Plan;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.sim.Jump;
import embrack.core.sim.ShowRun.Leftover;
import embrack.core.word.Fact;
import embrack.core.world.Place;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * A song leaves something behind that the next does not set: a chase that runs on, a level left down, a sound still on.
 */
final class LeftBehind implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "left-behind");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.book().run().leftovers().stream().map(leftover -> finding(subject.plan(), leftover));
    }

    private Finding finding(Plan plan, Leftover left) {
        Song song = plan.book().song(left.song());
        List<CueAt> at = new ArrayList<>(List.of(CueAt.whole(song.id())));
        left.into().ifPresent(next -> at.add(CueAt.whole(next)));
        return found(left.jump() instanceof Jump.None ? Severity.LOOK : Severity.NOTE)
                .with("song", song)
                .with("last", Fact.word(left.into().isEmpty() ? "yes" : "no"))
                .with("next", left.into().orElse(song.id()))
                .with(
                        "place",
                        new Fact.PartOf(left.place().device(), left.place().part()))
                .word("value", left.place().word(plan.rig(), left.value()))
                .word("jumped", left.jump() instanceof Jump.None ? "no" : "yes")
                .with("jump", left.jump().phrase())
                .cause(cause(plan, left))
                .in(at)
                .made();
    }

    private static String cause(Plan plan, Leftover left) {
        Place place = left.place();
        if (plan.rig().chart(place.device()).need(place.part()).isPresent() || place.aspect() == Aspect.TRANSPORT) {
            return "started";
        }
        if (place.aspect() == Aspect.LEVEL || place.aspect() == Aspect.MUTED) {
            return "missing";
        }
        return left.later() ? "later" : "never";
    }
}
