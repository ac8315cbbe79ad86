package embrack.core.world;

import embrack.core.chart.MessageMemory;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.compile.Sending;
import embrack.core.gear.SwitchMode;
import embrack.core.midi.Message;
import embrack.core.midi.Wire;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.way.Hop;
import embrack.core.way.Timing;
import embrack.core.way.Ways;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.stream.Stream;

/**
 * The actual rig at its slowest: boards send, links take the longest that they may, boxes pass on and react. A board
 * sends the same at all its outputs; a THRU adds no time that could be told (its opto-coupler takes less than 2
 * microseconds, MIDI 1.0); what is merged, filtered or taken off another kind of link is sent anew, one message behind
 * the other.
 */
public final class Engine {

    /**
     * As many copies of a message are followed over a piece of its way, so that one press costs at most pieces times
     * messages, whatever is wired in a ring. Two show all that copies can do: what turns round has turned back.
     */
    private static final int MOST_COPIES = 2;

    /** When a foot that pressed lets go, microseconds later. Common practice, no source. */
    private static final long LET_GO_MICROS = 150_000;

    private final Rig rig;
    private final Plan plan;
    private final Compiler compiler;
    private final Ways ways;
    private final Timing timing;
    private final Map<DeviceId, Hearing> hearings = new HashMap<>();
    private final Map<Hop, Passage> passages = new HashMap<>();

    public Engine(Plan plan) {
        this(plan, new Ways(plan.rig()));
    }

    /** A engine on ways that are worked out already. */
    public Engine(Plan plan, Ways ways) {
        this.plan = plan;
        this.rig = plan.rig();
        this.ways = ways;
        this.timing = new Timing(ways);
        this.compiler = new Compiler(plan, ways);
    }

    /**
     * Presses a switch once and waits until all is quiet.
     *
     * @param before the state of the rig
     * @param startMicros the moment of the press, 0 or more
     */
    public Pressed press(World before, SwitchAt at, long startMicros) {
        return press(before, at, Moment.PRESS, startMicros);
    }

    /** Does with a switch what belongs to a moment, once, and waits until all is quiet. */
    public Pressed press(World before, SwitchAt at, Moment moment, long startMicros) {
        return play(before, journey(compiler.compile(plan.switches().at(at)), moment, startMicros));
    }

    /** Presses a switch and lets it go. */
    public Pressed tap(World before, SwitchAt at) {
        CompiledSwitch compiled = compiler.compile(plan.switches().at(at));
        boolean alternates = compiled.mode() == SwitchMode.ALTERNATING;
        Moment side = alternates && before.isTurned(at) ? Moment.AGAIN : Moment.PRESS;
        Pressed down = play(alternates ? before.turning(at) : before, journey(compiled, side, 0));
        Pressed up = play(down.after(), journey(compiled, Moment.RELEASE, LET_GO_MICROS));
        return new Pressed(
                up.after(),
                Stream.concat(down.trace().stream(), up.trace().stream()).toList());
    }

    /** What a switch sends and when it arrives, at each of its moments. */
    public Journey journey(CompiledSwitch compiled, Moment moment, long startMicros) {
        return journey(compiled.at().board(), compiled.sendings(moment), compiled.runningStatus(), startMicros);
    }

    /** Where the messages that a box sends go and when; that does not depend on the state of the rig. */
    public Journey journey(
            DeviceId sender, List<Sending> sendings, Wire.RunningStatus runningStatus, long startMicros) {
        var run = new Run();
        ways.outputs(sender).forEach(output -> run.send(output, sendings, runningStatus, startMicros));
        return run.untilQuiet();
    }

    /**
     * One message that a player sends.
     *
     * @param atMicros when it begins, if nothing is in its way
     */
    public record Timed(Message message, long atMicros) {}

    /** Where messages go that a player sends at times of their own. */
    public Journey journey(DeviceId sender, List<Timed> messages) {
        var run = new Run();
        ways.outputs(sender).forEach(output -> messages.forEach(timed -> run.send(output, timed)));
        return run.untilQuiet();
    }

    /** What a journey does to a rig in some state. */
    public Pressed play(World before, Journey journey) {
        World state = before;
        List<Event> trace = new ArrayList<>(journey.others());
        for (Journey.Delivery delivery : journey.deliveries()) {
            DeviceId device = delivery.to().device();
            Reading reading = reading(device, delivery.message(), state.heardBy(device));
            trace.add(new Event.Arrived(delivery.atMicros(), delivery.to(), delivery.message(), reading));
            if (reading instanceof Reading.Acts acts) {
                state = state.after(device, acts.actions());
            }
            state = state.remembering(
                    device, hearing(device).implementation().remember(state.heardBy(device), delivery.message()));
        }
        trace.sort(Comparator.comparingLong(Event::atMicros));
        return new Pressed(state, trace);
    }

    /**
     * What a journey does, whatever the state of the rig; empty when a box that it reaches reads it by what came
     * before.
     */
    public Optional<List<Places.Move>> moves(Places places, Journey journey) {
        List<Places.Move> moves = new ArrayList<>();
        for (Journey.Delivery delivery : journey.deliveries()) {
            DeviceId device = delivery.to().device();
            if (hearing(device).implementation().remembers()) {
                return Optional.empty();
            }
            if (reading(device, delivery.message(), MessageMemory.NOTHING) instanceof Reading.Acts acts) {
                moves.addAll(places.moves(device, acts.actions()));
            }
        }
        return Optional.of(moves);
    }

    private Reading reading(DeviceId device, Message message, MessageMemory heard) {
        return hearing(device).reading(message, heard);
    }

    private Hearing hearing(DeviceId device) {
        return hearings.computeIfAbsent(device, id -> Hearing.of(rig, id));
    }

    /**
     * What a piece of a way does to the time of a message: a wait at worst, and whether it is sent anew byte by byte.
     */
    private record Passage(long waitMicros, boolean anew) {}

    private Passage passage(Hop hop) {
        return passages.computeIfAbsent(
                hop,
                h -> new Passage(
                        timing.waiting(h).worst(), rig.kind(h.link()) == LinkKind.FIVE_PIN && !ways.isRepeated(h)));
    }

    /** A message, by what was sent that it comes from: what is sent twice is no copy. */
    private record Copy(int sending, Message message) {}

    /** Messages on their way, taken in order of time, then of sending. */
    private record InFlight(long arrivesMicros, int sequence, int sending, Hop hop, Message message, List<Hop> before) {
        static final Comparator<InFlight> ORDER =
                Comparator.comparingLong(InFlight::arrivesMicros).thenComparingInt(InFlight::sequence);

        /**
         * Whether it has taken this very piece before; a rig's ways hold each piece once, so they need not be compared.
         */
        boolean cameRound() {
            for (Hop taken : before) {
                if (taken == hop) {
                    return true;
                }
            }
            return false;
        }
    }

    private final class Run {

        private final PriorityQueue<InFlight> queue = new PriorityQueue<>(InFlight.ORDER);
        private final List<Event> others = new ArrayList<>();
        private final List<Journey.Delivery> deliveries = new ArrayList<>();
        private final Map<Socket, Long> busyUntil = new HashMap<>();
        private final Map<Hop, Map<Copy, Integer>> copies = new IdentityHashMap<>();
        private int sent;
        private int sequence;

        void send(Socket output, List<Sending> sendings, Wire.RunningStatus runningStatus, long startMicros) {
            List<Hop> hops = leaving(output);
            boolean serial = rig.port(output).connector().isSerial();
            if (hops.isEmpty() && !serial) {
                return;
            }
            long time = startMicros;
            int running = 0;
            for (Sending sending : sendings) {
                Message message = sending.message();
                time += sending.waitMillis() * 1_000L;
                int bytes = Wire.length(message, running, runningStatus);
                others.add(new Event.Sent(time, output, message, bytes));
                time += serial ? Wire.micros(bytes) : 0;
                running = Wire.running(message, running);
                leave(time, output, hops, message);
            }
        }

        void send(Socket output, Timed timed) {
            List<Hop> hops = leaving(output);
            boolean serial = rig.port(output).connector().isSerial();
            if (hops.isEmpty() && !serial) {
                return;
            }
            Message message = timed.message();
            long begins = serial ? Math.max(timed.atMicros(), busyUntil.getOrDefault(output, 0L)) : timed.atMicros();
            long out = begins + (serial ? Wire.micros(message.length()) : 0);
            busyUntil.put(output, out);
            others.add(new Event.Sent(begins, output, message, message.length()));
            leave(out, output, hops, message);
        }

        private List<Hop> leaving(Socket output) {
            return ways.leaving(output.device()).stream()
                    .filter(hop -> hop.from().equals(output))
                    .toList();
        }

        /** A message has left an output: by all pieces that begin there, or it is lost. */
        private void leave(long time, Socket output, List<Hop> hops, Message message) {
            if (hops.isEmpty()) {
                others.add(new Event.Lost(time, output, message));
            }
            sent++;
            hops.forEach(hop -> setOff(time, sent, hop, message, List.of()));
        }

        Journey untilQuiet() {
            while (!queue.isEmpty()) {
                arrive(queue.poll());
            }
            return new Journey(others, deliveries);
        }

        private void arrive(InFlight flight) {
            Socket at = flight.hop().to();
            Message message = flight.message();
            int copy = copies.computeIfAbsent(flight.hop(), hop -> new HashMap<>())
                    .merge(new Copy(flight.sending(), message), 1, Integer::sum);
            if (flight.cameRound() || copy > MOST_COPIES) {
                if (copy <= MOST_COPIES + 1) {
                    others.add(new Event.CameRound(flight.arrivesMicros(), at, message));
                }
                return;
            }
            deliveries.add(new Journey.Delivery(flight.arrivesMicros(), at, message));
            List<Hop> onward = ways.onward(flight.hop());
            if (!onward.isEmpty()) {
                List<Hop> before = new ArrayList<>(flight.before());
                before.add(flight.hop());
                onward.forEach(next -> next.pass(message)
                        .ifPresentOrElse(
                                passed -> setOff(
                                        sentAnew(flight.arrivesMicros(), next, passed),
                                        flight.sending(),
                                        next,
                                        passed,
                                        before),
                                () -> others.add(new Event.KeptBack(
                                        flight.arrivesMicros(), next.from(), message, next.filter()))));
            }
        }

        /** When the last byte of a message has left a port that sends it anew, behind what that port is sending. */
        private long sentAnew(long time, Hop hop, Message message) {
            if (!passage(hop).anew()) {
                return time;
            }
            long out = Math.max(time, busyUntil.getOrDefault(hop.from(), 0L)) + Wire.micros(message.length());
            busyUntil.put(hop.from(), out);
            return out;
        }

        private void setOff(long time, int sending, Hop hop, Message message, List<Hop> before) {
            queue.add(new InFlight(time + passage(hop).waitMicros(), sequence++, sending, hop, message, before));
        }
    }
}
