package embrack.core.world;

import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Messages that are under way, all times in microseconds from now.
 *
 * @param flights in the order in which they arrive
 * @param busy until when ports are sending, by their numbers; ports that are not are left out
 * @param copies how often a message has taken a piece of its way
 * @param sent how many messages have been sent since all was quiet
 * @param clocks the tempo of each box that sends clock, in beats a minute
 */
record UnderWay(
        List<Flight> flights,
        Map<Integer, Long> busy,
        Map<Copy, Integer> copies,
        int sent,
        SortedMap<DeviceId, Integer> clocks) {

    /** All is quiet. */
    static final UnderWay QUIET = new UnderWay(List.of(), Map.of(), Map.of(), 0, Collections.emptySortedMap());

    UnderWay {
        flights = List.copyOf(flights);
        busy = Map.copyOf(busy);
        copies = Map.copyOf(copies);
        clocks = Collections.unmodifiableSortedMap(new TreeMap<>(clocks));
    }

    /** A message, by what was sent that it comes from, on a piece: what is sent twice is no copy. */
    record Copy(int piece, int sending, Message message) {}

    /**
     * A message on a piece of its way.
     *
     * @param atMicros when it arrives
     * @param sequence of two that arrive at once the lower goes first
     * @param sending which of those that were sent it comes from
     */
    record Flight(long atMicros, int sequence, int sending, Pieces.Piece piece, Message message)
            implements Comparable<Flight> {

        @Override
        public int compareTo(Flight other) {
            int byTime = Long.compare(atMicros, other.atMicros);
            return byTime != 0 ? byTime : Integer.compare(sequence, other.sequence);
        }
    }

    /** With a clock at another tempo, or without it. */
    UnderWay withClock(DeviceId from, int tempo) {
        SortedMap<DeviceId, Integer> others = new TreeMap<>(clocks);
        if (tempo == 0) {
            others.remove(from);
        } else {
            others.put(from, tempo);
        }
        return new UnderWay(flights, busy, copies, sent, others);
    }

    /** As this, with nothing under way but clocks. */
    UnderWay quieted() {
        return clocks.isEmpty() ? QUIET : new UnderWay(List.of(), Map.of(), Map.of(), 0, clocks);
    }

    boolean isQuiet() {
        return flights.isEmpty();
    }

    /** The same on every machine. */
    int hash() {
        int hash = 1;
        for (Flight flight : flights) {
            hash = 31 * (31 * hash + Long.hashCode(flight.atMicros()))
                    + flight.message().hex().hashCode();
        }
        for (var clock : clocks.entrySet()) {
            hash = 31 * (31 * hash + clock.getKey().text().hashCode()) + clock.getValue();
        }
        return hash;
    }
}
