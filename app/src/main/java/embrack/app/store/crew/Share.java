package embrack.app.store.crew;

import embrack.app.store.RigId;
import embrack.core.show.SongId;
import java.time.OffsetDateTime;
import java.util.Optional;

/**
 * Something that a crew lets another one read, or copy.
 *
 * @param crew whose it is
 * @param song which song; empty for all models of the crew
 * @param copies whether it may be copied, else it is only read
 * @param note for whom it is, as whoever made it wrote
 * @param until when the link ends by which it is taken up
 * @param with who took it up; empty while the link waits
 */
public record Share(
        long id,
        CrewId crew,
        String crewName,
        Optional<OfSong> song,
        boolean copies,
        String note,
        String madeBy,
        OffsetDateTime until,
        Optional<Taken> with) {

    /** A song of a rig. */
    public record OfSong(RigId rig, SongId song) {}

    /** A crew that took it up. */
    public record Taken(CrewId crew, String name, String by) {}
}
