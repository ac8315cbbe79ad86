package embrack.app.store;

import java.time.OffsetDateTime;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A link that lets whoever has it see one thing of a rig, for a time.
 *
 * @param about the name of the performer, or the key of the show; empty for the folder
 * @param ticks whether they may tick what is done
 * @param note for whom it is, as whoever made it wrote
 * @param until when it ends by itself
 */
public record TonightLink(
        long id, RigId rig, Sort sort, String about, boolean ticks, String note, String madeBy, OffsetDateTime until) {

    /** What it is that they see. */
    public enum Sort {

        /** All of the folder, with its lists. */
        FOLDER,

        /** What one performer gets, and the page on the stand. */
        PERFORMER,

        /** One show: order, joins, cues, how far it is. */
        SHOW;

        /** What it is called in forms and in the database. */
        public String key() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** The one of that key; empty when there is none. */
        public static Optional<Sort> of(String key) {
            return Stream.of(values()).filter(sort -> sort.key().equals(key)).findFirst();
        }
    }

    /** Who stands beside what is ticked with it. */
    public String holder() {
        return note.isEmpty() ? "a link for tonight" : "%s, by link".formatted(note);
    }
}
