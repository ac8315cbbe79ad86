package embrack.app.store.crew;

import embrack.core.crew.Role;
import java.time.OffsetDateTime;

/**
 * A link by which one person joins a crew, once.
 *
 * @param note for whom it is, as whoever made it wrote
 * @param until when it ends by itself
 */
public record Invitation(
        long id, CrewId crew, String crewName, Role role, String note, String madeBy, OffsetDateTime until) {}
