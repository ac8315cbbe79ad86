package embrack.core.world;

import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import java.util.Collections;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What boards remember of feet.
 *
 * @param turned alternating switches that do the other at the next press
 * @param shown the bank that each board shows, where that is not its first
 * @param held switches that are down, and how far each is
 */
record Hands(SortedSet<SwitchAt> turned, SortedMap<DeviceId, Integer> shown, SortedMap<SwitchAt, Held> held) {

    /** No foot has been anywhere. */
    static final Hands NONE =
            new Hands(Collections.emptySortedSet(), Collections.emptySortedMap(), Collections.emptySortedMap());

    /** How far a switch that is down is. */
    enum Held {
        /** Its press has been sent. */
        SENT,
        /** The board waits whether it becomes a hold. */
        WAITING,
        /** It has become a hold, and its press was not sent. */
        HELD
    }

    Hands turning(SwitchAt at) {
        SortedSet<SwitchAt> more = new TreeSet<>(turned);
        if (!more.remove(at)) {
            more.add(at);
        }
        return new Hands(Collections.unmodifiableSortedSet(more), shown, held);
    }

    Hands showing(DeviceId board, int bank) {
        if (shown.getOrDefault(board, 1) == bank) {
            return this;
        }
        SortedMap<DeviceId, Integer> more = new TreeMap<>(shown);
        if (bank == 1) {
            more.remove(board);
        } else {
            more.put(board, bank);
        }
        return new Hands(turned, Collections.unmodifiableSortedMap(more), held);
    }

    Hands holding(SwitchAt at, Held how) {
        SortedMap<SwitchAt, Held> more = new TreeMap<>(held);
        more.put(at, how);
        return new Hands(turned, shown, Collections.unmodifiableSortedMap(more));
    }

    Hands lettingGo(SwitchAt at) {
        SortedMap<SwitchAt, Held> fewer = new TreeMap<>(held);
        fewer.remove(at);
        return new Hands(turned, shown, Collections.unmodifiableSortedMap(fewer));
    }

    /** As a board begins that was dark: the feet on it count for nothing. */
    Hands forgetting(DeviceId board) {
        SortedSet<SwitchAt> sides = new TreeSet<>(turned);
        sides.removeIf(at -> at.board().equals(board));
        SortedMap<SwitchAt, Held> feet = new TreeMap<>(held);
        feet.keySet().removeIf(at -> at.board().equals(board));
        return new Hands(Collections.unmodifiableSortedSet(sides), shown, Collections.unmodifiableSortedMap(feet))
                .showing(board, 1);
    }

    /** The same on every machine. */
    int hash() {
        int hash = 1;
        for (SwitchAt at : turned) {
            hash = 31 * hash + at.key().hashCode();
        }
        for (var entry : shown.entrySet()) {
            hash = 31 * (31 * hash + entry.getKey().text().hashCode()) + entry.getValue();
        }
        for (var entry : held.entrySet()) {
            hash = 31 * (31 * hash + entry.getKey().key().hashCode())
                    + entry.getValue().ordinal();
        }
        return hash;
    }
}
