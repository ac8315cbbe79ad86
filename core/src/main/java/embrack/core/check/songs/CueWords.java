package embrack.core.check.songs;

import embrack.core.check.rule.Subject;
import embrack.core.plan.Plan;
import embrack.core.show.Cue;
import embrack.core.show.CueAt;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.sim.CueProof;
import embrack.core.sim.Place;
import java.util.List;
import java.util.stream.Stream;

/** Names songs, cues and places for findings. */
final class CueWords {

    private CueWords() {}

    /** A cue and where it stands: "Lantern song, 17|1". */
    static String where(Song song, Cue cue) {
        return "%s, %s".formatted(song.title(), cue.at().text(song.form().score()));
    }

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

        String where() {
            return CueWords.where(song, cue());
        }

        List<CueAt> at() {
            return List.of(CueWords.at(song, cue()));
        }
    }

    /** A place in words: "Scene 4 of Lantern desk". */
    static String words(Plan plan, Place place) {
        return "%s of %s"
                .formatted(
                        plan.rig().partName(place.device(), place.part()),
                        plan.rig().name(place.device()));
    }
}
