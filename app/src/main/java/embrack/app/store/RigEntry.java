package embrack.app.store;

import java.time.OffsetDateTime;

/**
 * A rig as the list of rigs shows it.
 *
 * @param changed when it was last changed
 */
public record RigEntry(RigId id, String name, int devices, OffsetDateTime changed) {}
