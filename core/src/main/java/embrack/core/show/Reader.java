package embrack.core.show;

import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import java.util.Collections;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * Somebody who gets a part of the folder.
 *
 * @param name what they are called there: "Fiddle"
 * @param leaves what they get, at least one
 * @param boards what they press: of players, the boards at their feet
 * @param ears the box that they hear; empty for none of their own
 */
public record Reader(
        TapeLabel name, Role role, SortedSet<Leaf> leaves, SortedSet<DeviceId> boards, Optional<DeviceId> ears) {

    public Reader {
        leaves = Collections.unmodifiableSortedSet(new TreeSet<>(leaves));
        boards = Collections.unmodifiableSortedSet(new TreeSet<>(boards));
        if (leaves.isEmpty()) {
            throw new IllegalArgumentException("Choose at least one thing that %s gets.".formatted(name));
        }
    }

    /** With what their role usually gets. */
    public static Reader of(TapeLabel name, Role role) {
        return new Reader(name, role, role.usual(), Collections.emptySortedSet(), Optional.empty());
    }

    public Reader withBoards(SortedSet<DeviceId> others) {
        return new Reader(name, role, leaves, others, ears);
    }

    public Reader withEars(Optional<DeviceId> other) {
        return new Reader(name, role, leaves, boards, other);
    }

    Reader without(DeviceId device) {
        SortedSet<DeviceId> left = new TreeSet<>(boards);
        left.remove(device);
        return withBoards(left).withEars(ears.filter(other -> !other.equals(device)));
    }
}
