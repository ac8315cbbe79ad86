package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.edit.CueEdit;
import embrack.core.plan.Plan;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.sim.CueProof;
import embrack.core.sim.Place;
import embrack.core.sim.SongProof;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What every song sends and what one song sends fire for the same event and are about the same thing. */
final class SentTwice implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo("songs.sent-twice", "Sent by every song and by this one");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.book().songs().stream()
                .flatMap(proof -> proof.cues().stream()
                        .filter(cue -> cue.cue().at() instanceof Anchor.Automatic)
                        .flatMap(cue -> proof.always().stream()
                                .filter(other ->
                                        other.cue().at().equals(cue.cue().at()))
                                .flatMap(other -> shared(cue, other)
                                        .map(place -> finding(subject.plan(), proof, cue.cue(), other.cue(), place))
                                        .stream())));
    }

    private static Optional<Place> shared(CueProof cue, CueProof other) {
        return cue.targets().stream().filter(other.targets()::contains).findFirst();
    }

    private Finding finding(Plan plan, SongProof proof, Cue cue, Cue always, Place place) {
        Song song = proof.song();
        boolean same = always.steps().containsAll(cue.steps());
        Optional<Remedy> remedy = same
                ? Optional.of(
                        new Remedy("Leave it to every song", new CueEdit.RemoveCues(song.id(), List.of(cue.number()))))
                : Optional.empty();
        boolean turns = Stream.concat(cue.steps().stream(), always.steps().stream())
                .anyMatch(step -> step.action().verb().turnsRound());
        return new Finding(
                info(),
                turns ? Severity.STOPS : Severity.LOOK,
                CueWords.where(song, cue),
                "Every song sends something to %s then, and so does this one.".formatted(CueWords.words(plan, place)),
                turns
                        ? "The second turns round what the first did."
                        : "Which of the two comes last is left to the player.",
                "Keep one of them.",
                List.of(),
                remedy,
                List.of(CueWords.at(song, cue)));
    }
}
