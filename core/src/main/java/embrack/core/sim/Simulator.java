package embrack.core.sim;

import embrack.core.chart.Action;
import embrack.core.chart.Heard;
import embrack.core.gear.Answers;
import embrack.core.gear.SettingId;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.Wire;
import embrack.core.plan.CompiledSwitch;
import embrack.core.plan.Compiler;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.rig.Traffic;
import embrack.core.switches.SwitchAt;
import embrack.core.way.Hop;
import embrack.core.way.Timing;
import embrack.core.way.Ways;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;

/**
 * The actual rig at its slowest: boards send, links take the longest that they may, boxes pass on and react. A board
 * sends the same at all its outputs; a THRU adds no time that could be told (its opto-coupler takes less than 2
 * microseconds, MIDI 1.0); what is merged, filtered or taken off another kind of link is sent anew, one message behind
 * the other.
 */
public final class Simulator {

    private final Rig rig;
    private final Plan plan;
    private final Compiler compiler;
    private final Ways ways;
    private final Timing timing;

    public Simulator(Plan plan) {
        this(plan, new Ways(plan.rig()));
    }

    /** A simulator on ways that are worked out already. */
    Simulator(Plan plan, Ways ways) {
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
    public Pressed press(RigState before, SwitchAt at, long startMicros) {
        return run(before, compiler.compile(plan.switches().at(at)), startMicros);
    }

    /** As {@link #press}, for a switch that is compiled already. */
    Pressed run(RigState before, CompiledSwitch compiled, long startMicros) {
        var run = new Run(before);
        ways.outputs(compiled.at().board()).forEach(output -> run.send(output, compiled, startMicros));
        return run.untilQuiet();
    }

    private Reading reading(DeviceId device, Message message, Heard heard) {
        Answers answers = rig.model(device).answers();
        Optional<Channel> set = answers.quirks().hearsAllChannels() ? Optional.empty()
                : rig.setting(device, SettingId.RECEIVE_CHANNEL).map(Channel::new);
        boolean onItsChannel = set.isEmpty() || !(message instanceof Message.Voice voice) || voice.channel().equals(set.get());
        List<Action> actions = answers.reactionsTo(message, heard, onItsChannel);
        if (!actions.isEmpty()) {
            return inputOff(device, message).<Reading>map(Reading.InputOff::new).orElseGet(() -> new Reading.Acts(actions));
        }
        return onItsChannel ? new Reading.MeansNothing() : new Reading.OtherChannel(set.orElseThrow());
    }

    /** The input of an app that is off and that a message would need to work its controls, in words. */
    private Optional<String> inputOff(DeviceId device, Message message) {
        SettingId needed = Traffic.of(message) == Traffic.SYNC ? SettingId.INPUT_FOR_SYNC : SettingId.INPUT_FOR_REMOTE;
        return rig.setting(device, needed).filter(value -> value == 0).flatMap(off -> rig.model(device).setting(needed)).map(s -> s.name().text());
    }

    /** Messages on their way, taken in order of time, then of sending. */
    private record InFlight(long arrivesMicros, int sequence, Hop hop, Message message, List<Hop> before) {
        static final Comparator<InFlight> ORDER =
                Comparator.comparingLong(InFlight::arrivesMicros).thenComparingInt(InFlight::sequence);

        boolean cameRound() {
            return before.contains(hop);
        }
    }

    private final class Run {

        private final PriorityQueue<InFlight> queue = new PriorityQueue<>(InFlight.ORDER);
        private final List<Event> trace = new ArrayList<>();
        private final Map<Socket, Long> busyUntil = new HashMap<>();
        private RigState state;
        private int sequence;

        Run(RigState before) {
            this.state = before;
        }

        void send(Socket output, CompiledSwitch compiled, long startMicros) {
            List<Hop> hops = ways.leaving(output.device()).stream().filter(hop -> hop.from().equals(output)).toList();
            boolean serial = rig.port(output).connector().isSerial();
            if (hops.isEmpty() && !serial) {
                return;
            }
            long time = startMicros;
            int running = 0;
            for (Message message : compiled.sent()) {
                int bytes = Wire.length(message, running, compiled.runningStatus());
                trace.add(new Event.Sent(time, output, message, bytes));
                time += serial ? Wire.micros(bytes) : 0;
                running = Wire.running(message, running);
                if (hops.isEmpty()) {
                    trace.add(new Event.Lost(time, output, message));
                }
                for (Hop hop : hops) {
                    travel(time, hop, message, List.of());
                }
            }
        }

        Pressed untilQuiet() {
            while (!queue.isEmpty()) {
                arrive(queue.poll());
            }
            trace.sort(Comparator.comparingLong(Event::atMicros));
            return new Pressed(state, trace);
        }

        private void arrive(InFlight flight) {
            Socket at = flight.hop().to();
            Message message = flight.message();
            if (flight.cameRound()) {
                trace.add(new Event.CameRound(flight.arrivesMicros(), at, message));
                return;
            }
            react(flight.arrivesMicros(), at, message);
            List<Hop> before = new ArrayList<>(flight.before());
            before.add(flight.hop());
            for (Hop next : ways.onward(flight.hop())) {
                next.pass(message).ifPresentOrElse(passed -> travel(sentAnew(flight.arrivesMicros(), next, passed), next, passed, before),
                        () -> trace.add(new Event.KeptBack(flight.arrivesMicros(), next.from(), message, next.sieve())));
            }
        }

        private void react(long time, Socket at, Message message) {
            Reading reading = reading(at.device(), message, state.heardBy(at.device()));
            trace.add(new Event.Arrived(time, at, message, reading));
            if (reading instanceof Reading.Acts acts) {
                state = state.after(rig, at.device(), acts.actions());
            }
            if (rig.model(at.device()).answers().remembers()) {
                state = state.hearing(at.device(), message);
            }
        }

        /** When the last byte of a message has left a port that sends it anew, behind what that port is sending. */
        private long sentAnew(long time, Hop hop, Message message) {
            if (rig.kind(hop.link()) != LinkKind.FIVE_PIN || ways.isRepeated(hop)) {
                return time;
            }
            long out = Math.max(time, busyUntil.getOrDefault(hop.from(), 0L)) + Wire.micros(message.length());
            busyUntil.put(hop.from(), out);
            return out;
        }

        private void travel(long time, Hop hop, Message message, List<Hop> before) {
            queue.add(new InFlight(time + timing.waiting(hop).worst(), sequence++, hop, message, before));
        }
    }
}
