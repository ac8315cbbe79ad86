package embrack.core.check.songs;

import embrack.core.check.rule.Subject;
import embrack.core.show.Cue;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.sim.CueProof;
import embrack.core.word.Fact;
import java.util.List;
import java.util.stream.Stream;

/** Finds songs and cues for findings. */
final class CueWords {

    private CueWords() {}

    static CueAt at(Song song, Cue cue) {
        return new CueAt(song.id(), cue.number());
    }

    /** The song of that id, which is in the book. */
    static Song song(Subject subject, SongId id) {
        return subject.plan().book().song(id);
    }

    /** Every proven cue with its song. */
    static Stream<Sung> cues(Subject subject) {
        return subject.book().songs().stream()
                .flatMap(proof -> proof.cues().stream().map(cue -> new Sung(proof.song(), cue)));
    }

    /** A cue with its song. */
    record Sung(Song song, CueProof proof) {

        Cue cue() {
            return proof.cue();
        }

        Fact moment() {
            return Fact.of(song, cue());
        }

        List<CueAt> at() {
            return List.of(CueWords.at(song, cue()));
        }
    }
}
