package embrack.core.sim;

import embrack.core.show.SongId;
import java.util.List;
import java.util.Optional;

/**
 * What was proven of a prompt book.
 *
 * @param songs one for each song, in the order of the book
 * @param run tonight's show, or all songs in the order of the book when there is none
 */
public record BookProof(List<SongProof> songs, ShowRun run) {

    public static final BookProof NONE = new BookProof(List.of(), ShowRun.NONE);

    public BookProof {
        songs = List.copyOf(songs);
    }

    public Optional<SongProof> song(SongId id) {
        return songs.stream().filter(proof -> proof.song().id().equals(id)).findFirst();
    }
}
