package embrack.core.past;

import embrack.core.plan.Plan;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import java.util.List;
import java.util.Optional;

/**
 * A song in words, for those who have not its rig.
 *
 * @param lines its facts, how it goes, notes
 * @param cues when each is, then what it does
 */
public record SongInWords(String title, List<String> lines, List<List<String>> cues) {

    public SongInWords {
        lines = List.copyOf(lines);
        cues = List.copyOf(cues);
    }

    /** A song of a plan; empty where it has no such song. */
    public static Optional<SongInWords> of(Plan plan, SongId id) {
        var words = new InWords(plan);
        return plan.book()
                .find(id)
                .map((Song song) -> new SongInWords(
                        song.title().text(),
                        words.of(song),
                        song.cues().stream().map(cue -> words.cue(id, cue)).toList()));
    }
}
