package embrack.core.check.songs;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.CueEdit;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.sim.CueProof;
import embrack.core.sim.SongProof;
import embrack.core.word.Fact;
import embrack.core.world.Place;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What every song sends and what one song sends fire for the same event and are about the same thing. */
final class SentTwice implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SONGS, "sent-twice");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.book().songs().stream()
                .flatMap(proof -> proof.cues().stream()
                        .filter(cue -> cue.cue().at() instanceof Anchor.Automatic)
                        .flatMap(cue -> proof.always().stream()
                                .filter(other ->
                                        other.cue().at().equals(cue.cue().at()))
                                .flatMap(
                                        other -> shared(cue, other)
                                                .map(place -> finding(proof, cue.cue(), other.cue(), place))
                                                .stream())));
    }

    private static Optional<Place> shared(CueProof cue, CueProof other) {
        return cue.targets().stream().filter(other.targets()::contains).findFirst();
    }

    private Finding finding(SongProof proof, Cue cue, Cue always, Place place) {
        Song song = proof.song();
        boolean same = always.steps().containsAll(cue.steps());
        Optional<Remedy> remedy = same
                ? Optional.of(new Remedy("leave-to-all", new CueEdit.RemoveCues(song.id(), List.of(cue.number()))))
                : Optional.empty();
        boolean turns = Stream.concat(cue.steps().stream(), always.steps().stream())
                .anyMatch(step -> step.action().verb().turnsRound());
        return found(turns ? Severity.STOPS : Severity.LOOK)
                .with("at", Fact.of(song, cue))
                .with("place", new Fact.PartOf(place.device(), place.part()))
                .word("turns", turns ? "yes" : "no")
                .mend(remedy)
                .in(List.of(CueWords.at(song, cue)))
                .made();
    }
}
