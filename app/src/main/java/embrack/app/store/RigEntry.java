package embrack.app.store;

import embrack.app.store.crew.CrewId;
import java.time.OffsetDateTime;

/**
 * A rig as the list of rigs shows it.
 *
 * @param crew whose it is
 * @param changed when it was last changed
 */
public record RigEntry(RigId id, CrewId crew, String name, int devices, OffsetDateTime changed) {}
