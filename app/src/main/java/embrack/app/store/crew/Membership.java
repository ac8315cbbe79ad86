package embrack.app.store.crew;

import embrack.core.crew.Role;

/** A crew that somebody belongs to, and what they are in it. */
public record Membership(CrewId crew, String name, Role role) {}
