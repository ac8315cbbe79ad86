package embrack.core.world;

import embrack.core.compile.CompiledControl;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.compile.Sending;
import embrack.core.gear.SwitchMode;
import embrack.core.level.Takeover;
import embrack.core.midi.Message;
import embrack.core.midi.RealTime;
import embrack.core.midi.Wire;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Cue;
import embrack.core.show.SongId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.way.Ways;
import embrack.core.world.Hands.Held;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * The actual rig at its slowest: boards send, links take the longest that they may, boxes pass on and react. A board
 * sends the same at all its outputs; a THRU adds no time that could be told (its opto-coupler takes less than 2
 * microseconds, MIDI 1.0); what is merged, filtered or taken off another kind of link is sent anew, one message behind
 * the other.
 *
 * <p>There are two ways in. {@link #step} does one thing to a world, at any time, with whatever is under way and has
 * failed. {@link #journey} and {@link #play} do what a proof needs: all that one gesture sends, from rest to rest, in a
 * rig without faults, where the ways of messages do not depend on the world and are worked out once.
 */
public final class Engine {

    /** When a foot that pressed lets go, microseconds later. Common practice, no source. */
    private static final long LET_GO_MICROS = 150_000;

    private final Rig rig;
    private final Plan plan;
    private final Compiler compiler;
    private final Ways ways;
    private final Pieces pieces;
    private final Outage outage;
    private final Receivers receivers;
    private final Map<SwitchAt, CompiledSwitch> compiled = new HashMap<>();

    public Engine(Plan plan) {
        this(plan, new Ways(plan.rig()));
    }

    /** An engine on ways that are worked out already. */
    public Engine(Plan plan, Ways ways) {
        this.plan = plan;
        this.rig = plan.rig();
        this.ways = ways;
        this.pieces = new Pieces(ways);
        this.compiler = new Compiler(plan, ways);
        this.outage = new Outage(rig);
        this.receivers = new Receivers(plan);
    }

    /** Does one thing to a world. Messages only set off by it; they go on as time goes by ({@link Event.Wait}). */
    public Outcome step(World before, Event event) {
        return switch (event) {
            case Event.Wait wait -> wait(before, wait.micros());
            case Event.ByHand hand -> isAwake(before, hand.box()) ? done(before, hand) : quiet(before);
            case Event.Send send ->
                send(before, outage.sender(before, send.from()), List.of(new Sending(send.message())));
            case Event.Clock clock -> quiet(before.with(before.underWay().withClock(clock.from(), clock.tempo())));
            default -> quiet(outage.after(before, event));
        };
    }

    private Outcome done(World before, Event.ByHand hand) {
        return switch (hand) {
            case Event.Press press -> press(before, press.at());
            case Event.Hold hold -> hold(before, hold.at());
            case Event.Release release -> release(before, release.at());
            case Event.DoublePress twice -> send(shown(before, twice.at()), twice.at(), Moment.DOUBLE_PRESS, 0);
            case Event.TurnTo turn -> quiet(before.with(before.hands().showing(turn.box(), turn.bank())));
            case Event.Set set -> quiet(before.with(set.place(), set.value()));
            case Event.Move move -> move(before, move.at(), move.position());
        };
    }

    /** Whether a box takes notice of hands and feet: it is on, and has started. */
    private static boolean isAwake(World world, DeviceId box) {
        return !world.isDark(box) && !world.ears().isDeaf(box, 0);
    }

    /**
     * The clocks that come to each device now, by who sends them, in beats a minute: two at one device fight, and a
     * device that is left out follows none.
     */
    public SortedMap<DeviceId, SortedMap<DeviceId, Integer>> clocks(World world) {
        SortedMap<DeviceId, SortedMap<DeviceId, Integer>> heard = new TreeMap<>();
        world.underWay().clocks().forEach((from, tempo) -> {
            if (!world.isDark(from)) {
                Flow flow = new Flow(pieces, rig, world.faults().withFates(new TreeMap<>()), UnderWay.QUIET);
                ways.outputs(from).forEach(output -> flow.send(output, new Timed(RealTime.CLOCK, 0)));
                flow.untilQuiet().deliveries().stream()
                        .map(delivery -> delivery.to().device())
                        .filter(device -> receivers.hearsClock(device))
                        .forEach(device -> heard.computeIfAbsent(device, d -> new TreeMap<>())
                                .put(from, tempo));
            }
        });
        return heard;
    }

    /** Does one thing to a world and waits until all is quiet. */
    public Outcome settled(World before, Event event) {
        Outcome done = step(before, event);
        return done.then(untilQuiet(done.after()));
    }

    /** Waits until nothing is under way and no box is deaf. */
    public Outcome untilQuiet(World before) {
        Flow flow = flow(before);
        Outcome arrived = taken(before, flow.untilQuiet());
        long end = Math.max(
                arrived.lastArrivalMicros() - before.clockMicros(),
                arrived.after().ears().deaf().values().stream()
                        .mapToLong(Long::longValue)
                        .max()
                        .orElse(0));
        World after = arrived.after()
                .with(flow.faults())
                .later(Math.max(0, end), before.underWay().quieted());
        return new Outcome(after, arrived.trace());
    }

    /** Presses a switch and lets it go, from rest. */
    public Outcome tap(World before, SwitchAt at) {
        Outcome down = step(before, new Event.Press(at));
        Outcome held = down.then(step(down.after(), new Event.Wait(LET_GO_MICROS)));
        return held.then(settled(held.after(), new Event.Release(at)));
    }

    private static Outcome quiet(World after) {
        return new Outcome(after, List.of());
    }

    private Outcome wait(World before, long micros) {
        Flow flow = flow(before);
        Outcome arrived = taken(before, flow.until(micros));
        return new Outcome(arrived.after().with(flow.faults()).later(micros, flow.left(micros)), arrived.trace());
    }

    private Flow flow(World world) {
        return new Flow(pieces, rig, world.faults(), world.underWay());
    }

    /**
     * The switch that a foot is on: nobody turns a board that counts to a bank, so it is pressed where it stands, or
     * let go where it is down.
     */
    public SwitchAt standing(World world, SwitchAt at) {
        if (plan.board(at).factory().counter().isEmpty()) {
            return at;
        }
        return world.heldSwitches().stream()
                .filter(held -> held.inBank(at.bank()).equals(at))
                .findFirst()
                .orElseGet(() -> at.inBank(world.shownBank(at.board())));
    }

    /** Turns a board to the bank of a switch. */
    private static World shown(World before, SwitchAt at) {
        return before.with(before.hands().showing(at.board(), at.bank()));
    }

    private Outcome press(World before, SwitchAt at) {
        CompiledSwitch what = compiled(at);
        World shown = shown(before, at);
        if (what.isHeldBackForHold()) {
            return quiet(shown.with(shown.hands().holding(at, Held.WAITING)));
        }
        World down = shown.with(shown.hands().holding(at, Held.SENT));
        return pressed(down, what);
    }

    private Outcome pressed(World before, CompiledSwitch what) {
        boolean alternates = what.mode() == SwitchMode.ALTERNATING;
        Moment side = alternates && before.isTurned(what.at()) ? Moment.AGAIN : Moment.PRESS;
        Outcome sent =
                send(alternates ? before.turning(what.at()) : before, what.at(), side, what.heldBackMillis() * 1_000L);
        return new Outcome(counted(sent.after(), what.at()), sent.trace());
    }

    /** A board that counts goes on to its next position. */
    private World counted(World before, SwitchAt at) {
        int bank = plan.board(at).bankAfter(at.bank(), at.number());
        return bank == at.bank() ? before : before.with(before.hands().showing(at.board(), bank));
    }

    private Outcome hold(World before, SwitchAt at) {
        Held how = before.hands().held().getOrDefault(at, compiled(at).isHeldBackForHold() ? Held.WAITING : Held.SENT);
        World held = before.with(before.hands().holding(at, how == Held.WAITING ? Held.HELD : how));
        return send(held, at, Moment.HOLD, 0);
    }

    private Outcome release(World before, SwitchAt at) {
        Held how = before.hands().held().get(at);
        World up = before.with(before.hands().lettingGo(at));
        if (how == null || how == Held.HELD) {
            return quiet(up);
        }
        Outcome pressed = how == Held.WAITING ? pressed(up, compiled(at)) : quiet(up);
        return pressed.then(send(pressed.after(), at, Moment.RELEASE, 0));
    }

    private Outcome move(World before, ControlAt at, int position) {
        CompiledControl control = compiler.compile(plan.switches().at(at));
        return send(before.with(before.hands().showing(at.box(), at.bank())), at.box(), control.sendings(position));
    }

    private CompiledSwitch compiled(SwitchAt at) {
        return compiled.computeIfAbsent(
                at, a -> compiler.compile(plan.switches().at(a)));
    }

    private Outcome send(World before, SwitchAt at, Moment moment, long startMicros) {
        CompiledSwitch what = compiled(at);
        return send(before, at.board(), what.sendings(moment), what.runningStatus(), startMicros);
    }

    private Outcome send(World before, DeviceId from, List<Sending> sendings) {
        return send(before, from, sendings, Wire.RunningStatus.NOT_USED, 0);
    }

    private Outcome send(
            World before, DeviceId from, List<Sending> sendings, Wire.RunningStatus status, long startMicros) {
        if (sendings.isEmpty() || !isAwake(before, from)) {
            return quiet(before);
        }
        Flow flow = flow(before);
        ways.outputs(from).forEach(output -> flow.send(output, sendings, status, startMicros));
        Outcome sent = taken(before, flow.until(-1));
        return new Outcome(sent.after().with(flow.faults()).later(0, flow.left(0)), sent.trace());
    }

    private Outcome taken(World before, Journey journey) {
        return receivers.take(before, journey);
    }

    /** What a switch sends and when it arrives, at each of its moments, from rest and without faults. */
    public Journey journey(CompiledSwitch what, Moment moment, long startMicros) {
        return journey(what.at().board(), what.sendings(moment), what.runningStatus(), startMicros);
    }

    /** Where what a control sends at a position goes and when, from rest and without faults. */
    public Journey journey(CompiledControl what, int position) {
        return journey(what.controlAssignment().at().box(), what.sendings(position), Wire.RunningStatus.NOT_USED, 0);
    }

    /** Where the messages that a box sends go and when, from rest and without faults. */
    public Journey journey(DeviceId sender, List<Sending> sendings, Wire.RunningStatus status, long startMicros) {
        if (sendings.isEmpty()) {
            return Journey.NOTHING;
        }
        Flow flow = new Flow(pieces, rig, Faults.NONE, UnderWay.QUIET);
        ways.outputs(sender).forEach(output -> flow.send(output, sendings, status, startMicros));
        return flow.untilQuiet();
    }

    /**
     * One message that a player sends.
     *
     * @param atMicros when it begins, if nothing is in its way
     */
    public record Timed(Message message, long atMicros) {}

    /**
     * What a player sends for steps and messages as they are, each message as soon as what stands before it has waited.
     *
     * @param from when it begins, in microseconds
     */
    public static List<Timed> timed(List<CompiledStep> steps, List<Message> raw, long from) {
        List<Timed> timed = new ArrayList<>();
        long at = from;
        for (CompiledStep step : steps) {
            at += step.step().waitMillis() * 1_000L;
            if (step.isSent()) {
                for (Message message : step.messages()) {
                    timed.add(new Timed(message, at));
                }
            }
        }
        for (Message message : raw) {
            timed.add(new Timed(message, at));
        }
        return timed;
    }

    /** Where messages go that a player sends at times of their own, from rest and without faults. */
    public Journey journey(DeviceId sender, List<Timed> messages) {
        Flow flow = new Flow(pieces, rig, Faults.NONE, UnderWay.QUIET);
        ways.outputs(sender).forEach(output -> messages.forEach(timed -> flow.send(output, timed)));
        return flow.untilQuiet();
    }

    /**
     * What a player sends for a cue, from rest, and when all has come to rest again; nothing where no such cue is.
     *
     * @param every whether it is one that every song sends
     */
    public Outcome cue(World before, SongId song, int number, boolean every) {
        Optional<Cue> cue = plan.book().cue(song, number, every);
        Optional<DeviceId> player = plan.book().find(song).flatMap(plan::player);
        if (cue.isEmpty() || player.isEmpty()) {
            return quiet(before);
        }
        DeviceId from = player.get();
        World moved = before;
        for (Step step : cue.get().steps()) {
            moved = step.device().equals(from) ? moved.after(from, List.of(step.action())) : moved;
        }
        return play(moved, journey(from, timed(from, cue.get())));
    }

    /** What a player sends for a cue, with when it does, in microseconds after the cue has come. */
    public List<Timed> timed(DeviceId player, Cue cue) {
        List<CompiledStep> steps =
                cue.steps().stream().map(step -> compiler.compile(player, step)).toList();
        return timed(steps, cue.raw(), 0);
    }

    /** What a journey does to a rig at rest, and when all has come to rest again. */
    public Outcome play(World before, Journey journey) {
        Outcome arrived = receivers.take(before, journey);
        return new Outcome(arrived.after().rested(), arrived.trace());
    }

    /** How a device hears. */
    public Hearing hearing(DeviceId device) {
        return receivers.hearing(device);
    }

    /** What a control does that moves a place while it stands elsewhere; empty where none moves it, or it jumps. */
    public Optional<Takeover> takeover(Place place) {
        return receivers.takeover(place);
    }

    /**
     * What a journey does, whatever the state of the rig; empty when a box that it reaches reads it by what came
     * before.
     */
    public Optional<List<Places.Move>> moves(Places places, Journey journey) {
        return receivers.moves(places, journey);
    }
}
