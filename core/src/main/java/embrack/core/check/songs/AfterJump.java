package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.plan.Plan;
import embrack.core.show.Cue;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.sim.Jump;
import embrack.core.sim.ShowRun.Upset;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A cue works in the order of the show, and fails when the band leaves out a song, repeats a section or begins again.
 */
final class AfterJump implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("songs.after-jump", "Fails after a jump");
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
        return new Finding(
                info(),
                Severity.LOOK,
                CueWords.where(song, cue),
                "%s, it leaves %s %s."
                        .formatted(
                                upset.jump().words(),
                                CueWords.words(plan, upset.place()),
                                upset.place().aspect().word(upset.actual())),
                "It turns something round that stands otherwise after the jump.",
                "Have the song set it anew at its start, or use a message that says on or off.",
                List.of(),
                Optional.empty(),
                upset.always() ? List.of(CueAt.whole(song.id())) : List.of(CueWords.at(song, cue)));
    }
}
