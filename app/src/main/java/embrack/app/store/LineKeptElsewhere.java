package embrack.app.store;

/** Another server kept what a line check of a rig found, or what was answered in it. */
public record LineKeptElsewhere(RigId rig) {}
