package embrack.core.send;

import embrack.core.rig.DeviceId;
import java.util.Collections;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Through it goes everything that is sent to real gear, and nothing beside it. It is shut until somebody, at one page
 * of one browser, says yes to one box; for that page and that box it is open then, until they shut it, or nothing was
 * sent for a while.
 *
 * @param open who may send where, and when it was last done, in microseconds
 */
public record Gate(SortedMap<Pass, Long> open) {

    public static final Gate SHUT = new Gate(new TreeMap<>());

    /** After so long it shuts by itself: whoever said yes may have gone. Common practice, no source. */
    public static final long IDLE_MICROS = 10 * 60 * 1_000_000L;

    /** No rig has more pages at it. */
    private static final int MOST = 1_000;

    /**
     * A page of a browser, and a box that it may send to.
     *
     * @param station the page; another one, or the same loaded again, is none of it
     */
    public record Pass(String station, DeviceId box) implements Comparable<Pass> {
        @Override
        public int compareTo(Pass other) {
            int order = station.compareTo(other.station);
            return order != 0 ? order : box.compareTo(other.box);
        }
    }

    /** What the gate says. */
    public enum Word {
        GO,
        /** Nobody said yes here. */
        SHUT,
        /** It can hurt somebody: it goes when somebody says yes once more. */
        ASK_AGAIN
    }

    public Gate {
        open = Collections.unmodifiableSortedMap(new TreeMap<>(open));
    }

    /** Somebody at a page says yes to a box. */
    public Gate opened(String station, DeviceId box, long nowMicros) {
        if (station.isBlank()) {
            return this;
        }
        SortedMap<Pass, Long> more = new TreeMap<>(open);
        more.values().removeIf(last -> nowMicros - last > IDLE_MICROS);
        if (more.size() < MOST) {
            more.put(new Pass(station, box), nowMicros);
        }
        return new Gate(more);
    }

    /** Somebody at a page has done with all boxes, or the page is gone. */
    public Gate shut(String station) {
        SortedMap<Pass, Long> fewer = new TreeMap<>(open);
        fewer.keySet().removeIf(pass -> pass.station().equals(station));
        return new Gate(fewer);
    }

    /** Nobody sends to a box any more. */
    public Gate shut(DeviceId box) {
        SortedMap<Pass, Long> fewer = new TreeMap<>(open);
        fewer.keySet().removeIf(pass -> pass.box().equals(box));
        return new Gate(fewer);
    }

    public boolean isOpen(String station, DeviceId box, long nowMicros) {
        Long last = open.get(new Pass(station, box));
        return last != null && nowMicros - last <= IDLE_MICROS;
    }

    /** The boxes that a page may send to. */
    public SortedSet<DeviceId> boxes(String station, long nowMicros) {
        SortedSet<DeviceId> boxes = new TreeSet<>();
        open.keySet().stream()
                .filter(pass -> pass.station().equals(station) && isOpen(station, pass.box(), nowMicros))
                .forEach(pass -> boxes.add(pass.box()));
        return boxes;
    }

    /**
     * Whether something may go.
     *
     * @param askedTwice whether it can hurt somebody
     * @param yesAgain whether somebody said yes to just this
     */
    public Word word(String station, DeviceId box, boolean askedTwice, boolean yesAgain, long nowMicros) {
        if (!isOpen(station, box, nowMicros)) {
            return Word.SHUT;
        }
        return askedTwice && !yesAgain ? Word.ASK_AGAIN : Word.GO;
    }
}
