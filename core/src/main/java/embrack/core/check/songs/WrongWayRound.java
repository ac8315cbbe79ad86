package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.CueEdit;
import embrack.core.plan.Plan;
import embrack.core.show.Cue;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.sim.Jump;
import embrack.core.sim.ShowRun.Upset;
import embrack.core.word.Fact;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** In the order of the show, something is turned round that stood that way already. */
final class WrongWayRound implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "wrong-way-round");
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
        Found found = found(Severity.STOPS)
                .with("at", Fact.of(song, cue))
                .with(
                        "place",
                        new Fact.PartOf(upset.place().device(), upset.place().part()))
                .word("actual", upset.place().aspect().word(upset.actual()));
        if (cue.steps().isEmpty()) {
            return found.cause("recorded")
                    .mend("remove", new CueEdit.RemoveCues(song.id(), List.of(cue.number())))
                    .in(List.of(CueWords.at(song, cue)))
                    .made();
        }
        Optional<Remedy> remedy = upset.always() || cue.steps().size() > 1
                ? Optional.empty()
                : Optional.of(new Remedy("remove", new CueEdit.RemoveCues(song.id(), List.of(cue.number()))));
        return found.cause("turned")
                .with("by", by(plan, upset))
                .word("was", upset.place().aspect().word(upset.meant()))
                .mend(remedy)
                .in(upset.always() ? List.of(CueAt.whole(song.id())) : List.of(CueWords.at(song, cue)))
                .made();
    }

    /** Who turned it before, in words; nothing where it stood so from the start. */
    private static List<Fact> by(Plan plan, Upset upset) {
        return upset.by().stream()
                .<Fact>map(turn -> turn.foot().isPresent()
                        ? new Fact.Switches(List.of(turn.foot().get()))
                        : Fact.of(
                                plan.book().song(turn.song()),
                                plan.book()
                                        .cue(turn.song(), turn.cue(), turn.always())
                                        .orElseThrow()))
                .toList();
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
