package embrack.core.world;

import embrack.core.compile.Sending;
import embrack.core.midi.Message;
import embrack.core.midi.Wire;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.world.Engine.Timed;
import embrack.core.world.Event.Fate;
import embrack.core.world.Pieces.Piece;
import embrack.core.world.UnderWay.Copy;
import embrack.core.world.UnderWay.Flight;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Messages on their ways, in order of time, then of sending. It begins with what is under way, and can be stopped.
 */
final class Flow {

    /**
     * As many copies of a message are followed over a piece of its way, so that one press costs at most pieces times
     * messages, whatever is wired in a ring. Two show all that copies can do: what turns round has turned back.
     */
    private static final int MOST_COPIES = 2;

    private final Pieces pieces;
    private final Rig rig;
    private final Faults faults;
    private final UnderWay underWay;
    private final boolean faultless;
    private final SortedMap<Link, Fate> fates;
    private final PriorityQueue<Flight> queue = new PriorityQueue<>();
    private final Map<Copy, Integer> copies;
    private final List<Happened> others = new ArrayList<>();
    private final List<Journey.Delivery> deliveries = new ArrayList<>();
    private long[] busyUntil = new long[64];
    private int sent;
    private int sequence;

    Flow(Pieces pieces, Rig rig, Faults faults, UnderWay underWay) {
        this.pieces = pieces;
        this.rig = rig;
        this.faults = faults;
        this.underWay = underWay;
        this.faultless = faults.equals(Faults.NONE);
        this.fates = faultless ? Collections.emptySortedMap() : new TreeMap<>(faults.fates());
        this.copies = new HashMap<>(underWay.copies());
        this.sent = underWay.sent();
        underWay.flights()
                .forEach(f -> queue.add(new Flight(f.atMicros(), sequence++, f.sending(), f.piece(), f.message())));
        underWay.busy().forEach(this::busy);
    }

    /** All messages of a moment at one output, one behind the other, and behind what it was to send before. */
    void send(Socket output, List<Sending> sendings, Wire.RunningStatus runningStatus, long startMicros) {
        Piece[] first = pieces.leaving(output);
        boolean serial = rig.port(output).connector().isSerial();
        if (first.length == 0 && !serial) {
            return;
        }
        int port = pieces.port(output);
        long time = Math.max(startMicros, busyUntil(port));
        int running = 0;
        for (Sending sending : sendings) {
            Message message = sending.message();
            time += sending.waitMillis() * 1_000L;
            int bytes = Wire.length(message, running, runningStatus);
            others.add(new Happened.Sent(time, output, message, bytes));
            time += serial ? Wire.micros(bytes) : 0;
            running = Wire.running(message, running);
            leave(time, output, first, message);
        }
        busy(port, time);
    }

    /** A message at one output, as soon as that is free. */
    void send(Socket output, Timed timed) {
        Piece[] first = pieces.leaving(output);
        boolean serial = rig.port(output).connector().isSerial();
        if (first.length == 0 && !serial) {
            return;
        }
        Message message = timed.message();
        int port = pieces.port(output);
        long begins = serial ? Math.max(timed.atMicros(), busyUntil(port)) : timed.atMicros();
        long out = begins + (serial ? Wire.micros(message.length()) : 0);
        busy(port, out);
        others.add(new Happened.Sent(begins, output, message, message.length()));
        leave(out, output, first, message);
    }

    /** A message has left an output: by all pieces that begin there, or it is lost. */
    private void leave(long time, Socket output, Piece[] first, Message message) {
        if (first.length == 0) {
            others.add(new Happened.Lost(time, output, message));
        }
        sent++;
        for (Piece piece : first) {
            setOff(time, sent, piece, message);
        }
    }

    /** Goes on until nothing is under way. */
    Journey untilQuiet() {
        return until(Long.MAX_VALUE);
    }

    /** Goes on until a moment, and what arrives at it. */
    Journey until(long micros) {
        for (Flight next = queue.peek(); next != null && next.atMicros() <= micros; next = queue.peek()) {
            arrive(queue.remove());
        }
        return new Journey(others, deliveries);
    }

    /** What is still under way, seen from a moment. */
    UnderWay left(long micros) {
        List<Flight> flights = new ArrayList<>();
        queue.stream()
                .sorted()
                .forEach(f -> flights.add(
                        new Flight(f.atMicros() - micros, flights.size(), f.sending(), f.piece(), f.message())));
        Map<Integer, Long> busy = new HashMap<>();
        for (int port = 0; port < busyUntil.length; port++) {
            if (busyUntil[port] > micros) {
                busy.put(port, busyUntil[port] - micros);
            }
        }
        return flights.isEmpty() && busy.isEmpty()
                ? underWay.quieted()
                : new UnderWay(flights, busy, copies, sent, underWay.clocks());
    }

    /** What is not as it should be, less what has befallen messages. */
    Faults faults() {
        return fates.size() == faults.fates().size() ? faults : faults.withFates(fates);
    }

    private void arrive(Flight flight) {
        Piece piece = flight.piece();
        Message message = flight.message();
        if (!faultless && !faults.isPassed(piece)) {
            others.add(new Happened.Failed(flight.atMicros(), piece.hop().to(), message));
            return;
        }
        if (piece.joins()) {
            int copy = copies.merge(new Copy(piece.number(), flight.sending(), message), 1, Integer::sum);
            if (copy > MOST_COPIES) {
                if (copy == MOST_COPIES + 1) {
                    others.add(new Happened.CameRound(
                            flight.atMicros(), piece.hop().to(), message));
                }
                return;
            }
        }
        deliveries.add(new Journey.Delivery(flight.atMicros(), piece.hop().to(), message));
        for (Piece next : piece.onward()) {
            if (next.isPlain()) {
                setOff(sentAnew(flight.atMicros(), next, message), flight.sending(), next, message);
            } else {
                passOn(flight, next);
            }
        }
    }

    private void passOn(Flight flight, Piece next) {
        Optional<Message> passed = next.hop().pass(flight.message());
        if (passed.isPresent()) {
            setOff(sentAnew(flight.atMicros(), next, passed.get()), flight.sending(), next, passed.get());
        } else {
            others.add(new Happened.KeptBack(
                    flight.atMicros(),
                    next.hop().from(),
                    flight.message(),
                    next.hop().filter()));
        }
    }

    /** When the last byte of a message has left a port that sends it anew, behind what that port is sending. */
    private long sentAnew(long time, Piece piece, Message message) {
        if (!piece.isAnew()) {
            return time;
        }
        long out = Math.max(time, busyUntil(piece.port())) + Wire.micros(message.length());
        busy(piece.port(), out);
        return out;
    }

    private void setOff(long time, int sending, Piece piece, Message message) {
        long arrives = time + piece.waitMicros();
        if (faultless) {
            queue.add(new Flight(arrives, sequence++, sending, piece, message));
            return;
        }
        Fate fate = fates.remove(piece.link());
        if (!faults.isPassed(piece) || fate == Fate.LOST) {
            others.add(new Happened.Failed(time, piece.hop().from(), message));
            return;
        }
        long late = fate == Fate.LATE ? arrives + Fate.LATE_MICROS : arrives;
        queue.add(new Flight(late, sequence++, sending, piece, message));
        if (fate == Fate.DOUBLED) {
            sent++;
            queue.add(new Flight(late, sequence++, sent, piece, message));
        }
    }

    private long busyUntil(int port) {
        return port < busyUntil.length ? busyUntil[port] : 0;
    }

    private void busy(int port, long until) {
        if (port >= busyUntil.length) {
            busyUntil = Arrays.copyOf(busyUntil, Math.max(port + 1, 2 * busyUntil.length));
        }
        busyUntil[port] = until;
    }
}
