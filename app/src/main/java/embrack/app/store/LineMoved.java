package embrack.app.store;

/** A line check of a rig went on; {@code turn} counts how often. */
public record LineMoved(RigId rig, long turn) {}
