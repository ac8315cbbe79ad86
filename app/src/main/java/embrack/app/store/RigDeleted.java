package embrack.app.store;

/** Somebody deleted a rig; what goes on for it outside its pages has to end. */
public record RigDeleted(RigId rig) {}
