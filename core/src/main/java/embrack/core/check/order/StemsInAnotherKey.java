package embrack.core.check.order;

import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Found;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.edit.OrderEdit;
import embrack.core.music.Key;
import embrack.core.show.CueAt;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.show.Stem;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A song is in another key tonight than its tracks were prepared in, and some of them have notes. */
final class StemsInAnotherKey implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.ORDER, "stems-in-another-key");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        return subject.plan().book().tonight().stream()
                .flatMap(show -> show.order().stream()
                        .filter(entry -> entry.key().isPresent())
                        .flatMap(entry -> entry.song().stream()
                                .map(subject.plan().book()::song)
                                .flatMap(song -> finding(show, entry, song).stream())));
    }

    private Optional<Finding> finding(Show show, Entry entry, Song song) {
        Key tonight = entry.key().orElseThrow();
        List<Stem> wrong = song.stems().stream()
                .filter(stem -> stem.sort().isTransposed() && show.sounds(song.id(), stem))
                .toList();
        return song.played()
                .or(song::original)
                .filter(key -> key.pitchClass() != tonight.pitchClass() && !wrong.isEmpty())
                .map(key -> finding(show, entry, song, key, tonight)
                        .with("stems", wrong.stream().map(Stem::name).toList())
                        .mend("as-prepared", new OrderEdit.PlayAsPrepared(show.id(), entry.number()))
                        .made());
    }

    private Found finding(Show show, Entry entry, Song song, Key key, Key tonight) {
        List<Integer> by = key.semitonesTo(tonight);
        return found(Severity.LOOK)
                .with("show", show.name())
                .with("song", song)
                .with("tonight", tonight.toString())
                .with("prepared", key.toString())
                .with("semitones", Math.abs(by.getFirst()))
                .word("way", by.size() > 1 ? "either" : by.getFirst() > 0 ? "up" : "down")
                .in(List.of(CueAt.whole(song.id())));
    }
}
