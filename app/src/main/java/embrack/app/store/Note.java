package embrack.app.store;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;

/**
 * Something that somebody wrote about a rig.
 *
 * @param about what it is about, by its name; empty for the rig as a whole
 * @param whom to whom it is; empty for all
 * @param doneAt when it was done; null while it is not
 */
public record Note(
        long id,
        String about,
        String words,
        String who,
        String whom,
        OffsetDateTime at,
        @Nullable OffsetDateTime doneAt,
        String doneBy) {

    /**
     * Whether somebody may say that it is done, or not after all: who wrote it, to whom it is, and who plans.
     *
     * @param plans whether they plan in the crew of the rig
     */
    public boolean isSettledBy(String reader, boolean plans) {
        return plans || who.equals(reader) || whom.equals(reader);
    }
}
