package embrack.files.acn;

import embrack.core.light.Frame;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;

/**
 * One sender of light: which packets go out when. A frame that changes goes at once, though never two of a universe
 * closer than a line of DMX takes for one (ANSI E1.31, section 6.6.1); one that stands still goes three times, then
 * every 800 ms, so that receivers know that the sender is there (section 6.6.2). Its end is said three times (6.2.6).
 * Sections from memory. For one thread.
 */
public final class Source {

    /** How often one that stands still is sent again, ms. */
    static final int KEEP_ALIVE = 800;

    private static final int REPEATS = 3;
    private static final int SEQUENCES = 256;
    private static final long MICROS = 1_000;

    private final UUID id;
    private final String name;
    private final SortedMap<Integer, Universe> universes = new TreeMap<>();

    private static final class Universe {
        private Frame last = Frame.DARK;
        private long sentAtMicros = Long.MIN_VALUE / 2;
        private int alike;
        private int sequence;
    }

    /**
     * A sender.
     *
     * @param id told apart from all others by it
     * @param name what receivers show of it
     */
    public Source(UUID id, String name) {
        this.id = id;
        this.name = name;
    }

    /**
     * What has to go out now.
     *
     * @param micros a clock that never goes back, microseconds
     */
    public List<DataPacket> due(long micros, Map<Integer, Frame> frames) {
        List<DataPacket> due = new ArrayList<>();
        frames.forEach((number, frame) -> {
            Universe universe = universes.computeIfAbsent(number, n -> new Universe());
            boolean isNew = universe.alike == 0 || !frame.equals(universe.last);
            long since = micros - universe.sentAtMicros;
            if (since >= Frame.MIN_MICROS && (isNew || universe.alike < REPEATS || since >= KEEP_ALIVE * MICROS)) {
                universe.alike = isNew ? 1 : Math.min(REPEATS, universe.alike + 1);
                universe.last = frame;
                universe.sentAtMicros = micros;
                due.add(packet(number, universe, false));
            }
        });
        return due;
    }

    /** What tells every universe that has heard of this sender that it ends. */
    public List<DataPacket> end() {
        List<DataPacket> last = new ArrayList<>();
        for (int i = 0; i < REPEATS; i++) {
            universes.forEach((number, universe) -> last.add(packet(number, universe, true)));
        }
        return last;
    }

    private DataPacket packet(int number, Universe universe, boolean isLast) {
        int sequence = universe.sequence;
        universe.sequence = (sequence + 1) % SEQUENCES;
        return new DataPacket(id, name, number, DataPacket.USUAL_PRIORITY, sequence, false, isLast, universe.last);
    }
}
