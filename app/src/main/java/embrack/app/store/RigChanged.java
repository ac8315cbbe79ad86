package embrack.app.store;

/** Somebody changed a rig; {@code revision} is the new one. */
public record RigChanged(RigId rig, int revision) {}
