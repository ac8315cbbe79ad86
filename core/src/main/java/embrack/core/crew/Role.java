package embrack.core.crew;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What somebody is in a crew, the most first. */
public enum Role {
    LEAD("everything, people too", Right.values()),
    PLANNER("plans and checks the gear", Right.READ, Right.TICK, Right.PLAY, Right.NOTE, Right.EDIT),
    PLAYER("reads, ticks, drills, writes notes", Right.READ, Right.TICK, Right.PLAY, Right.NOTE),
    GUEST("reads the rigs that are shared with them", Right.READ);

    private final String words;
    private final Set<Right> rights;

    Role(String words, Right... rights) {
        this.words = words;
        this.rights = Collections.unmodifiableSet(EnumSet.copyOf(List.of(rights)));
    }

    /** What it is called: "planner". */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** What somebody in it does, in a few words. */
    public String words() {
        return words;
    }

    /** What it may do to the rigs that it sees. */
    public Set<Right> rights() {
        return rights;
    }

    /** Whether it sees all that the crew has; a guest sees what was shared. */
    public boolean seesAll() {
        return this != GUEST;
    }

    /** The role of that {@link #key}; empty when there is none. */
    public static Optional<Role> of(String key) {
        return Stream.of(values()).filter(role -> role.key().equals(key)).findFirst();
    }
}
