package embrack.core.line;

import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.compile.Sending;
import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.gear.SwitchMode;
import embrack.core.line.Mistake.Kind;
import embrack.core.midi.Channel;
import embrack.core.midi.DataByte;
import embrack.core.midi.Identity;
import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import embrack.core.midi.Message.NoteOff;
import embrack.core.midi.Message.NoteOn;
import embrack.core.midi.Message.ProgramChange;
import embrack.core.midi.Message.Voice;
import embrack.core.midi.Wire;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Journey;
import embrack.core.world.Outcome;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A rig that is there when no gear is: boxes that are programmed as planned but for the mistakes that somebody made in
 * them, and a world in which their messages do what they do.
 *
 * @param plan by which the boxes that send were programmed
 * @param set the same plan, with the boxes that obey as they are really set
 * @param mistakes in what is pressed
 * @param slips in what is moved
 * @param turned alternating switches that stand at their second side
 */
public record SimulatedRig(
        Plan plan, Plan set, List<Mistake> mistakes, List<Slip> slips, World world, Set<SwitchAt> turned) {

    /**
     * A message as it leaves a box.
     *
     * @param afterMicros after the foot moved
     */
    public record Sent(DeviceId from, long afterMicros, Message message) {}

    /**
     * A message as it comes in at a box.
     *
     * @param afterMicros after the foot moved, or it was sent
     */
    public record Arrived(DeviceId at, long afterMicros, Message message) {}

    /** What a foot did, or what was sent: what left boxes for it, and what came in where. */
    public record Done(SimulatedRig after, List<Sent> sent, List<Arrived> arrived) {
        public Done {
            sent = List.copyOf(sent);
            arrived = List.copyOf(arrived);
        }
    }

    public SimulatedRig {
        mistakes = List.copyOf(mistakes);
        slips = List.copyOf(slips);
        turned = Set.copyOf(turned);
    }

    /** Programmed without a mistake, and just switched on. */
    public static SimulatedRig of(Plan plan) {
        return new SimulatedRig(plan, plan, List.of(), List.of(), World.poweredOn(plan.rig()), Set.of());
    }

    /** The same boxes with these mistakes in them and no other. */
    public SimulatedRig with(List<Mistake> others) {
        return new SimulatedRig(plan, set, others, slips, world, turned);
    }

    /** The same boxes with these slips in them and no other. */
    public SimulatedRig slipping(List<Slip> others) {
        return new SimulatedRig(plan, set, mistakes, others, world, turned);
    }

    /**
     * The same with a setting of a box otherwise than planned.
     *
     * @throws Refused when the box has no such setting, or it has no such value
     */
    public SimulatedRig setTo(GearEdit.ChangeSetting other) {
        return new SimulatedRig(plan, other.apply(set), mistakes, slips, world, turned);
    }

    /** The boxes that obey anything, in the order of the plan. */
    public List<DeviceId> receivers() {
        return plan.rig().devices().stream()
                .map(Device::id)
                .filter(device -> !plan.rig().chart(device).isEmpty())
                .toList();
    }

    /** Something is sent to a box by a cable from outside. */
    public Done received(DeviceId box, Message message) {
        if (message.equals(Identity.REQUEST)) {
            int family = plan.rig().models().indexOf(plan.rig().model(box)) + 1;
            return new Done(this, List.of(), List.of(new Arrived(box, 0, Identity.answer(family, 1, 1))));
        }
        return set.rig().sockets(box).stream()
                .findFirst()
                .map(socket -> new Engine(set)
                        .play(world, new Journey(List.of(), List.of(new Journey.Delivery(0, socket, message)))))
                .map(outcome -> new Done(with(outcome.after()), List.of(), arrivals(outcome, 0)))
                .orElseGet(() -> new Done(this, List.of(), List.of()));
    }

    /** Something is sent by the cable at which a box hangs otherwise. */
    public Done sentInstead(DeviceId board, Message message) {
        return sent(this, List.of(new Sent(board, 0, message)), List.of());
    }

    private SimulatedRig with(World other) {
        return new SimulatedRig(plan, set, mistakes, slips, other, turned);
    }

    private List<Arrived> arrivals(Outcome outcome, long afterMicros) {
        List<Arrived> arrivals = new ArrayList<>();
        for (Happened happened : outcome.trace()) {
            if (happened instanceof Happened.Arrived arrived) {
                arrivals.add(new Arrived(
                        arrived.socket().device(),
                        afterMicros + arrived.atMicros() - world.clockMicros(),
                        arrived.message()));
            }
        }
        return arrivals;
    }

    /** A foot goes down. */
    public Done press(SwitchAt at) {
        CompiledSwitch what = programmed(at);
        boolean alternates = what.mode() == SwitchMode.ALTERNATING;
        Set<SwitchAt> sides = new HashSet<>(turned);
        boolean second = alternates && !sides.add(at);
        if (second) {
            sides.remove(at);
        }
        return sent(
                new SimulatedRig(plan, set, mistakes, slips, world, sides),
                at,
                what,
                second ? Moment.AGAIN : Moment.PRESS);
    }

    /** It has been down so long, or came down twice so fast, that the board tells it apart. */
    public Done gesture(SwitchAt at, Moment how) {
        return sent(this, at, programmed(at), how);
    }

    /** A hand or foot brings a control to a position, 0 to 127; what is wrong with the whole box is so with it too. */
    public Done move(ControlAt at, int position) {
        List<Sent> sent = new ArrayList<>();
        SwitchAt any = SwitchAt.parse("%s.%d.1".formatted(at.box(), at.bank())).orElseThrow();
        List<Mistake> all = mistakes.stream().filter(Mistake::wholeBox).toList();
        for (Sending sending :
                new Compiler(plan).compile(plan.switches().at(at)).sendings(position)) {
            List<Message> slipped = slipped(at, sending.message()).stream()
                    .flatMap(message -> with(all).mistaken(any, message, Moment.RELEASE).stream())
                    .toList();
            for (Message message : slipped) {
                sent.add(new Sent(at.box(), (sent.size() + 1) * message.length() * Wire.MICROS_PER_BYTE, message));
            }
        }
        return sent(this, sent, sent);
    }

    private Optional<Message> slipped(ControlAt at, Message message) {
        Optional<Message> now = Optional.of(message);
        for (Slip slip : slips) {
            if (slip.travel().equals(Travel.key(at))) {
                now = now.flatMap(slip::of);
            }
        }
        return now;
    }

    /** The foot lets go. */
    public Done release(SwitchAt at) {
        return sent(this, at, programmed(at), Moment.RELEASE);
    }

    private Done sent(SimulatedRig after, SwitchAt at, CompiledSwitch what, Moment moment) {
        List<Sending> sendings = what.sendings(moment);
        if (has(Kind.UNWRITTEN, at)) {
            sendings = moment == Moment.PRESS || moment == Moment.AGAIN
                    ? List.of(new Sending(new ProgramChange(new Channel(Channel.FIRST), at.number() - 1)))
                    : List.of();
        }
        List<Sent> sent = new ArrayList<>();
        long micros = 0;
        for (Sending sending : sendings) {
            micros += sending.waitMillis() * 1_000L;
            for (Message message : mistaken(at, sending.message(), moment)) {
                micros += message.length() * Wire.MICROS_PER_BYTE;
                sent.add(new Sent(at.board(), micros, message));
            }
        }
        if (has(Kind.DEAD, at)) {
            sent.clear();
        }
        return sent(after, sent, sent);
    }

    /** What messages do that leave boxes; {@code told} those of them that a browser hears where they leave. */
    private static Done sent(SimulatedRig before, List<Sent> messages, List<Sent> told) {
        Engine engine = new Engine(before.set);
        SimulatedRig now = before;
        List<Arrived> arrived = new ArrayList<>();
        for (Sent message : messages) {
            Outcome outcome = engine.settled(now.world, new Event.Send(message.from(), message.message()));
            arrived.addAll(now.arrivals(outcome, message.afterMicros()));
            now = now.with(outcome.after());
        }
        return new Done(now, told, arrived);
    }

    /** What somebody wrote into a switch, values and numbers apart. */
    private CompiledSwitch programmed(SwitchAt at) {
        SwitchAt source = mistakes.stream()
                .flatMap(mistake -> source(mistake, at).stream())
                .filter(plan::has)
                .findFirst()
                .orElse(at);
        Assignment assignment = plan.switches().at(source);
        for (Mistake mistake : mistakes) {
            if (mistake.concerns(at)) {
                assignment = mistake.kind().mode().isPresent()
                        ? assignment.withMode(mistake.kind().mode())
                        : assignment;
            }
        }
        return new Compiler(plan).compile(assignment);
    }

    private static Optional<SwitchAt> source(Mistake mistake, SwitchAt at) {
        SwitchAt one = mistake.at();
        if (!one.board().equals(at.board())) {
            return Optional.empty();
        }
        return switch (mistake.kind()) {
            case EXCHANGED -> {
                SwitchAt other = one.numbered(mistake.number());
                yield at.equals(one) ? Optional.of(other) : at.equals(other) ? Optional.of(one) : Optional.empty();
            }
            case BANKS ->
                at.bank() == one.bank()
                        ? Optional.of(at.inBank(mistake.number()))
                        : at.bank() == mistake.number() ? Optional.of(at.inBank(one.bank())) : Optional.empty();
            default -> Optional.empty();
        };
    }

    private List<Message> mistaken(SwitchAt at, Message message, Moment moment) {
        Message now = message;
        List<Message> more = new ArrayList<>();
        boolean twice = false;
        for (Mistake mistake : mistakes) {
            if (!mistake.concerns(at)) {
                continue;
            }
            switch (mistake.kind()) {
                case CHANNEL -> now = now instanceof Voice voice ? voice.onChannel(new Channel(mistake.number())) : now;
                case OFF_BY -> now = shifted(now, mistake.number());
                case WRONG_WAY -> now = otherWay(now);
                case TWICE -> twice = true;
                case MORE -> {
                    if (moment == Moment.PRESS && now instanceof Voice voice) {
                        more.add(new ControlChange(voice.channel(), mistake.number(), DataByte.MAX));
                    }
                }
                default -> {}
            }
        }
        return Stream.of(List.of(now), twice ? List.of(now) : List.<Message>of(), more)
                .flatMap(List::stream)
                .toList();
    }

    private static Message shifted(Message message, int by) {
        return switch (message) {
            case ControlChange m -> new ControlChange(m.channel(), bounded(m.controller() + by), m.value());
            case NoteOn m -> new NoteOn(m.channel(), bounded(m.note() + by), m.velocity());
            case NoteOff m -> new NoteOff(m.channel(), bounded(m.note() + by), m.velocity());
            case ProgramChange m -> new ProgramChange(m.channel(), bounded(m.program() + by));
            default -> message;
        };
    }

    private static int bounded(int number) {
        return Math.min(DataByte.MAX, Math.max(0, number));
    }

    private static Message otherWay(Message message) {
        return switch (message) {
            case ControlChange m -> new ControlChange(m.channel(), m.controller(), DataByte.MAX - m.value());
            case NoteOn m ->
                m.isRelease() ? new NoteOn(m.channel(), m.note(), DataByte.MAX) : new NoteOff(m.channel(), m.note(), 0);
            case NoteOff m -> new NoteOn(m.channel(), m.note(), DataByte.MAX);
            default -> message;
        };
    }

    private boolean has(Kind kind, SwitchAt at) {
        return mistakes.stream().anyMatch(mistake -> mistake.kind() == kind && mistake.concerns(at));
    }
}
