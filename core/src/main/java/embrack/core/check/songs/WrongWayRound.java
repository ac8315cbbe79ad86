package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.edit.CueEdit;
import embrack.core.plan.Plan;
import embrack.core.show.Cue;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.sim.Jump;
import embrack.core.sim.ShowRun.Upset;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** In the order of the show, something is turned round that stood that way already. */
final class WrongWayRound implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("songs.wrong-way-round", "Turned the wrong way round");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.book().run().upsets().stream()
                .filter(upset -> upset.jump() instanceof Jump.None)
                .map(upset -> finding(subject.plan(), upset));
    }

    private Finding finding(Plan plan, Upset upset) {
        Song song = plan.book().song(upset.song());
        Cue cue = cue(plan, song, upset);
        String place = CueWords.words(plan, upset.place());
        String actual = upset.place().aspect().word(upset.actual());
        if (cue.steps().isEmpty()) {
            return new Finding(
                    info(),
                    Severity.STOPS,
                    CueWords.where(song, cue),
                    "A recorded message that no step stands for leaves %s %s.".formatted(place, actual),
                    "A note-off, or a note played twice, turns some boxes round again.",
                    "Strip the message from the cue.",
                    List.of(),
                    Optional.of(new Remedy("Remove the cue", new CueEdit.RemoveCues(song.id(), List.of(cue.number())))),
                    List.of(CueWords.at(song, cue)));
        }
        Optional<Remedy> remedy = upset.always() || cue.steps().size() > 1
                ? Optional.empty()
                : Optional.of(new Remedy("Remove the cue", new CueEdit.RemoveCues(song.id(), List.of(cue.number()))));
        return new Finding(
                info(),
                Severity.STOPS,
                CueWords.where(song, cue),
                "%s was %s already; turned round, it is %s."
                        .formatted(place, upset.place().aspect().word(upset.meant()), actual),
                "The box knows no message for on or off, only one that turns it round.",
                "Leave this cue out, or say that it is meant to leave it %s.".formatted(actual),
                List.of(),
                remedy,
                upset.always() ? List.of(CueAt.whole(song.id())) : List.of(CueWords.at(song, cue)));
    }

    /** The cue that is to blame, among those of the song or of every song. */
    static Cue cue(Plan plan, Song song, Upset upset) {
        return upset.always()
                ? plan.book().always().stream()
                        .filter(c -> c.number() == upset.cue())
                        .findFirst()
                        .orElseThrow()
                : song.cue(upset.cue()).orElseThrow();
    }
}
