package embrack.core.sim;

import embrack.core.chart.Action;
import embrack.core.chart.Heard;
import embrack.core.gear.Answers;
import embrack.core.gear.Direction;
import embrack.core.gear.Port;
import embrack.core.gear.SettingId;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.Wire;
import embrack.core.plan.CompiledSwitch;
import embrack.core.plan.Compiler;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;

/**
 * The actual rig: boards send, cables take their time, boxes pass on and react. A board sends the same at all its
 * outputs; a THRU adds no time that could be told (its opto-coupler takes less than 2 microseconds, MIDI 1.0).
 */
public final class Simulator {

    private final Rig rig;
    private final Plan plan;
    private final Compiler compiler;

    public Simulator(Plan plan) {
        this.plan = plan;
        this.rig = plan.rig();
        this.compiler = new Compiler(plan);
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
        for (Socket output : sockets(compiled.at().board(), Direction.OUT)) {
            run.send(output, compiled, startMicros);
        }
        return run.untilQuiet();
    }

    private List<Socket> sockets(DeviceId device, Direction direction) {
        return rig.model(device).ports(direction).stream().map(Port::id).map(port -> new Socket(device, port)).toList();
    }

    private Reading reading(DeviceId device, Message message, Heard heard) {
        Answers answers = rig.model(device).answers();
        Optional<Channel> set = answers.quirks().hearsAllChannels() ? Optional.empty()
                : rig.setting(device, SettingId.RECEIVE_CHANNEL).map(Channel::new);
        boolean onItsChannel = set.isEmpty() || !(message instanceof Message.Voice voice) || voice.channel().equals(set.get());
        List<Action> actions = answers.reactionsTo(message, heard, onItsChannel);
        if (!actions.isEmpty()) {
            return new Reading.Acts(actions);
        }
        return onItsChannel ? new Reading.MeansNothing() : new Reading.OtherChannel(set.orElseThrow());
    }

    /** Messages on their way, taken in order of time, then of sending. */
    private record InFlight(long arrivesMicros, int sequence, Socket to, Message message) {
        static final Comparator<InFlight> ORDER =
                Comparator.comparingLong(InFlight::arrivesMicros).thenComparingInt(InFlight::sequence);
    }

    private final class Run {

        private final PriorityQueue<InFlight> queue = new PriorityQueue<>(InFlight.ORDER);
        private final List<Event> trace = new ArrayList<>();
        private RigState state;
        private int sequence;

        Run(RigState before) {
            this.state = before;
        }

        void send(Socket output, CompiledSwitch compiled, long startMicros) {
            long time = startMicros;
            int running = 0;
            for (Message message : compiled.sent()) {
                int bytes = Wire.length(message, running, compiled.runningStatus());
                trace.add(new Event.Sent(time, output, message, bytes));
                time += Wire.micros(bytes);
                running = Wire.running(message, running);
                leave(time, output, message);
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
            DeviceId device = flight.to().device();
            Reading reading = reading(device, flight.message(), state.heardBy(device));
            trace.add(new Event.Arrived(flight.arrivesMicros(), flight.to(), flight.message(), reading));
            if (reading instanceof Reading.Acts acts) {
                state = state.after(rig, device, acts.actions());
            }
            if (rig.model(device).answers().remembers()) {
                state = state.hearing(device, flight.message());
            }
            for (Socket thru : sockets(device, Direction.THRU)) {
                if (rig.cableIn(thru).isPresent()) {
                    leave(flight.arrivesMicros(), thru, flight.message());
                }
            }
        }

        private void leave(long time, Socket socket, Message message) {
            rig.cableIn(socket).ifPresentOrElse(
                    cable -> queue.add(new InFlight(time, sequence++, cable.to(), message)),
                    () -> trace.add(new Event.Lost(time, socket, message)));
        }
    }
}
