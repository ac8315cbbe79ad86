package embrack.app.store;

/** Somebody asks for the run of a rig at a server that does not have it: whoever has it lets go of it. */
public record RunWanted(RigId rig) {}
