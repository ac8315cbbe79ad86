package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.plan.Plan;
import embrack.core.show.Cue;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.sim.Jump;
import embrack.core.sim.ShowRun.Upset;
import embrack.core.word.Fact;
import java.util.List;
import java.util.stream.Stream;

/**
 * A cue works in the order of the show, and fails when the band leaves out a song, repeats a section or begins again.
 */
final class AfterJump implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "after-jump");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.book().run().upsets().stream()
                .filter(upset -> !(upset.jump() instanceof Jump.None))
                .map(upset -> finding(subject.plan(), upset));
    }

    private Finding finding(Plan plan, Upset upset) {
        Song song = plan.book().song(upset.song());
        Cue cue = WrongWayRound.cue(plan, song, upset);
        return found(Severity.LOOK)
                .with("at", Fact.of(song, cue))
                .with("jump", upset.jump().phrase())
                .with(
                        "place",
                        new Fact.PartOf(upset.place().device(), upset.place().part()))
                .word("actual", upset.place().aspect().word(upset.actual()))
                .in(upset.always() ? List.of(CueAt.whole(song.id())) : List.of(CueWords.at(song, cue)))
                .made();
    }
}
