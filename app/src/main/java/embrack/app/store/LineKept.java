package embrack.app.store;

/** What a line check found, or what was answered in it, was kept here. */
record LineKept(RigId rig) {}
