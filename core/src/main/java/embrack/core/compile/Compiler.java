package embrack.core.compile;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.LearnableId;
import embrack.core.compile.CompiledControl.CompiledTarget;
import embrack.core.gear.Board;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.FactoryMessage;
import embrack.core.gear.Gesture;
import embrack.core.gear.PressLimit;
import embrack.core.gear.Purpose;
import embrack.core.gear.Shaping;
import embrack.core.gear.SwitchMode;
import embrack.core.level.Curve;
import embrack.core.midi.Channel;
import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.numbers.Senders;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Target;
import embrack.core.way.SignalPath;
import embrack.core.way.Ways;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Turns what switches, treadles and faders should do into what their boxes have to send. */
public final class Compiler {

    private final Plan plan;
    private final Ways ways;

    public Compiler(Plan plan) {
        this(plan, new Ways(plan.rig()));
    }

    /** A compiler that takes ways that are worked out already. */
    public Compiler(Plan plan, Ways ways) {
        this.plan = plan;
        this.ways = ways;
    }

    /** Every used switch, in order. */
    public List<CompiledSwitch> all() {
        return plan.switches().assignments().stream().map(this::compile).toList();
    }

    /** One switch; the steps beyond what the board sends in a press are stopped, the ones before are not. */
    public CompiledSwitch compile(Assignment assignment) {
        Board board = plan.board(assignment.at());
        SwitchMode mode = mode(assignment, board);
        SortedMap<Moment, List<CompiledStep>> compiled = new TreeMap<>();
        assignment.moments().forEach((moment, steps) -> compiled.put(moment, compile(assignment.at(), steps)));
        requireMode(mode, board, compiled);
        return new CompiledSwitch(
                assignment.at(),
                mode,
                compiled,
                byItself(mode, compiled),
                board.runningStatus(),
                plan.rig()
                        .model(assignment.at().board())
                        .implementation()
                        .quirks()
                        .pressAlsoWhenHeld());
    }

    /** One step, as it would be if nothing else were sent in the same press. */
    public CompiledStep compile(SwitchAt at, Step step) {
        return compile(at, step, List.of());
    }

    /**
     * What a player sends for a step of a cue; nothing for what it does itself.
     *
     * @param sender the player
     */
    public CompiledStep compile(DeviceId sender, Step step) {
        Optional<List<Message>> messages =
                plan.rig().chart(step.device()).messagesFor(step.action(), receiveChannel(step.device()));
        boolean itself = step.device().equals(sender);
        if (messages.isEmpty() || itself) {
            boolean known = itself
                    && plan.rig().chart(sender).actions().stream()
                            .anyMatch(
                                    action -> action.part().equals(step.action().part())
                                            && action.verb() == step.action().verb());
            return new CompiledStep(
                    step,
                    List.of(),
                    Optional.empty(),
                    known ? Optional.empty() : Optional.of(missing(step.device(), LearnableId.of(step.action()))));
        }
        Optional<SignalPath> way =
                ways.between(sender, step.device(), messages.get().getLast());
        return new CompiledStep(
                step,
                messages.get(),
                way,
                way.isPresent()
                        ? Optional.empty()
                        : Optional.of(new Blockade(ways)
                                .between(sender, step.device(), messages.get().getLast())));
    }

    /** What one treadle, fader or knob sends. */
    public CompiledControl compile(ControlAssignment controlAssignment) {
        int most = plan.controls(controlAssignment.at()).numbers();
        List<CompiledControl.CompiledTarget> compiled = new ArrayList<>();
        Set<List<Message>> sent = new HashSet<>();
        for (Target target : controlAssignment.targets()) {
            CompiledControl.CompiledTarget next = compile(controlAssignment.at(), target);
            if (next.isSent() && !sent.contains(next.at()) && sent.size() >= most) {
                next = next.stoppedBy(new Obstacle.OneNumber(most));
            }
            if (next.isSent()) {
                sent.add(next.at());
            }
            compiled.add(next);
        }
        return new CompiledControl(controlAssignment, compiled);
    }

    /** What a switch does down and up: what was chosen, or the plainest that serves its steps. */
    private static SwitchMode mode(Assignment assignment, Board board) {
        return assignment.mode().orElseGet(() -> {
            boolean releases = !assignment.steps(Moment.RELEASE).isEmpty()
                    && !board.gestures().contains(Gesture.RELEASE);
            SwitchMode wanted = !assignment.steps(Moment.AGAIN).isEmpty()
                    ? SwitchMode.ALTERNATING
                    : releases ? SwitchMode.MOMENTARY : SwitchMode.ONE_SHOT;
            return board.modes().contains(wanted) ? wanted : board.modes().first();
        });
    }

    /** Stops what the mode, or the gestures that the board knows, do not allow. */
    private static void requireMode(SwitchMode mode, Board board, SortedMap<Moment, List<CompiledStep>> compiled) {
        compiled.replaceAll((moment, steps) -> {
            Optional<Obstacle> missing = missing(moment, mode, board, steps, compiled);
            return missing.map(obstacle ->
                            steps.stream().map(step -> step.stoppedBy(obstacle)).toList())
                    .orElse(steps);
        });
    }

    private static Optional<Obstacle> missing(
            Moment moment,
            SwitchMode mode,
            Board board,
            List<CompiledStep> steps,
            SortedMap<Moment, List<CompiledStep>> compiled) {
        if (!board.modes().contains(mode)) {
            return Optional.of(new Obstacle.NoMode(mode));
        }
        List<CompiledStep> press = compiled.getOrDefault(Moment.PRESS, List.of());
        return switch (moment) {
            case AGAIN ->
                mode != SwitchMode.ALTERNATING
                        ? Optional.of(new Obstacle.NoMode(SwitchMode.ALTERNATING))
                        : twoMessages(press, steps);
            case RELEASE ->
                board.gestures().contains(Gesture.RELEASE)
                        ? Optional.empty()
                        : mode == SwitchMode.MOMENTARY
                                ? twoMessages(press, steps)
                                : Optional.of(new Obstacle.NoGesture(Gesture.RELEASE));
            default ->
                board.gestures().contains(moment.gesture())
                        ? Optional.empty()
                        : Optional.of(new Obstacle.NoGesture(moment.gesture()));
        };
    }

    /** Whether the second moment needs more than other values of the messages of the first. */
    private static Optional<Obstacle> twoMessages(List<CompiledStep> first, List<CompiledStep> second) {
        return addresses(first).equals(addresses(second)) ? Optional.empty() : Optional.of(new Obstacle.TwoMessages());
    }

    private static List<String> addresses(List<CompiledStep> steps) {
        return steps.stream()
                .flatMap(step -> step.messages().stream())
                .map(message -> "%s %d %s"
                        .formatted(
                                message.type(),
                                message.data1(),
                                message instanceof Message.Voice voice ? voice.channel() : message.hex()))
                .toList();
    }

    /**
     * A momentary switch sends the other value on release, an alternating one at every second press, unless steps say
     * what.
     */
    private static SortedMap<Moment, List<Message>> byItself(
            SwitchMode mode, SortedMap<Moment, List<CompiledStep>> compiled) {
        SortedMap<Moment, List<Message>> sent = new TreeMap<>();
        Moment moment = mode == SwitchMode.ALTERNATING ? Moment.AGAIN : Moment.RELEASE;
        if (mode != SwitchMode.ONE_SHOT && !compiled.containsKey(moment)) {
            List<Message> others = compiled.getOrDefault(Moment.PRESS, List.of()).stream()
                    .filter(CompiledStep::isSent)
                    .flatMap(step -> step.messages().stream())
                    .flatMap(message -> otherValue(message).stream())
                    .toList();
            if (!others.isEmpty()) {
                sent.put(moment, others);
            }
        }
        return sent;
    }

    private static Optional<Message> otherValue(Message message) {
        return switch (message) {
            case Message.ControlChange change ->
                Optional.of(new Message.ControlChange(
                        change.channel(), change.controller(), change.value() == 0 ? DataByte.MAX : 0));
            case Message.NoteOn note -> Optional.of(new Message.NoteOff(note.channel(), note.note(), 0));
            default -> Optional.empty();
        };
    }

    private List<CompiledStep> compile(SwitchAt at, List<Step> steps) {
        List<CompiledStep> compiled = new ArrayList<>();
        List<Message> sent = new ArrayList<>();
        for (Step step : steps) {
            CompiledStep next = compile(at, step, sent);
            compiled.add(next);
            if (next.isSent()) {
                sent.addAll(next.messages());
            }
        }
        return compiled;
    }

    private CompiledStep compile(SwitchAt at, Step step, List<Message> sentBefore) {
        List<Message> messages = messages(at, step);
        if (messages.isEmpty()) {
            return new CompiledStep(
                    step,
                    List.of(),
                    Optional.empty(),
                    Optional.of(missing(step.device(), LearnableId.of(step.action()))));
        }
        Optional<SignalPath> way = ways.between(at.board(), step.device(), messages.getLast());
        return new CompiledStep(step, messages, way, obstacle(at, step, messages, way.isPresent(), sentBefore));
    }

    /** Why there is no message for something. */
    private Obstacle missing(DeviceId device, LearnableId wanted) {
        boolean learns = plan.rig().chart(device).learnables().stream()
                .anyMatch(learnable -> learnable.id().equals(wanted));
        return learns ? new Obstacle.NothingLearned() : new Obstacle.NoChartLine();
    }

    private Optional<Obstacle> obstacle(
            SwitchAt at, Step step, List<Message> messages, boolean arrives, List<Message> sentBefore) {
        Board board = plan.board(at);
        Optional<MessageType> unsendable = messages.stream()
                .map(Message::type)
                .filter(type -> !board.sends().contains(type))
                .findFirst();
        if (unsendable.isPresent()) {
            return Optional.of(new Obstacle.CannotSend(unsendable.get()));
        }
        Optional<Obstacle> fixed = board.fixed(at.bank(), at.number()).flatMap(own -> fixed(own, messages.getFirst()));
        if (fixed.isPresent()) {
            return fixed;
        }
        if (step.waitMillis() > board.longestWaitMillis()) {
            return Optional.of(new Obstacle.CannotWait(board.longestWaitMillis()));
        }
        Optional<Obstacle.OneTooMany> tooMany = tooMany(board.limit(), sentBefore, messages);
        if (tooMany.isPresent()) {
            return Optional.of(tooMany.get());
        }
        return arrives
                ? Optional.empty()
                : Optional.of(new Blockade(ways).between(at.board(), step.device(), messages.getLast()));
    }

    /** Whether the messages are more than a press can send, of all types or of their own. */
    private static Optional<Obstacle.OneTooMany> tooMany(
            PressLimit limit, List<Message> before, List<Message> messages) {
        List<Message> all = Stream.concat(before.stream(), messages.stream()).toList();
        if (all.size() > limit.messages()) {
            return Optional.of(new Obstacle.OneTooMany(Optional.empty(), limit.messages()));
        }
        return limit.ofType().entrySet().stream()
                .filter(e -> all.stream().filter(m -> m.type() == e.getKey()).count() > e.getValue())
                .findFirst()
                .map(e -> new Obstacle.OneTooMany(Optional.of(e.getKey()), e.getValue()));
    }

    private static Optional<Obstacle> fixed(FactoryMessage own, Message wanted) {
        boolean same = own.isAddressOf(wanted)
                && (wanted.type() == MessageType.PROGRAM_CHANGE || wanted.data2() == DataByte.MAX);
        return same ? Optional.empty() : Optional.of(new Obstacle.SendsItsOwn(own.type(), own.number()));
    }

    private List<Message> messages(SwitchAt at, Step step) {
        Board board = plan.board(at);
        Channel set = receiveChannel(step.device());
        Chart chart = plan.rig().chart(step.device());
        List<Message> messages = board.fixed(at.bank(), at.number())
                .map(own -> chart.messagesFor(
                        step.action(),
                        set,
                        board.sends(),
                        message -> fixed(own, message).isEmpty()))
                .orElseGet(() -> chart.messagesFor(step.action(), set, board.sends()))
                .orElse(List.of());
        Optional<Channel> only = Senders.only(plan.rig(), at);
        return messages.stream().map(message -> onChannel(message, only)).toList();
    }

    private CompiledTarget compile(ControlAt at, Target target) {
        ControlGroup group = plan.controls(at);
        Chart chart = plan.rig().chart(target.device());
        Optional<Channel> only = Senders.only(plan.rig(), at);
        List<Optional<Message>> sent = IntStream.rangeClosed(0, DataByte.MAX)
                .mapToObj(position -> {
                    Action wanted = group.shaping() == Shaping.NONE
                            ? chart.levelAt(target.part(), position).orElseGet(() -> target.at(position))
                            : target.at(position);
                    return chart.messagesFor(wanted, receiveChannel(target.device()))
                            .map(messages -> onChannel(messages.getLast(), only));
                })
                .toList();
        if (sent.stream().anyMatch(Optional::isEmpty)) {
            return new CompiledTarget(
                    target,
                    List.of(),
                    Optional.empty(),
                    Optional.of(missing(target.device(), CompiledControl.learnable(target))));
        }
        List<Message> messages = sent.stream().map(Optional::orElseThrow).toList();
        Optional<SignalPath> way = ways.between(at.box(), target.device(), messages.getLast());
        return new CompiledTarget(target, messages, way, obstacle(at, target, group, messages, way.isPresent()));
    }

    private Optional<Obstacle> obstacle(
            ControlAt at, Target target, ControlGroup group, List<Message> messages, boolean arrives) {
        if (!group.sends().contains(messages.getFirst().type())) {
            return Optional.of(new Obstacle.CannotSend(messages.getFirst().type()));
        }
        Optional<FactoryMessage> own = Senders.fixed(plan.rig(), at);
        if (own.filter(fixed -> !fixed.isAddressOf(messages.getFirst())).isPresent()) {
            return own.map(fixed -> new Obstacle.SendsItsOwn(fixed.type(), fixed.number()));
        }
        Chart chart = plan.rig().chart(target.device());
        boolean asItComes = group.shaping() == Shaping.NONE
                && IntStream.rangeClosed(0, DataByte.MAX)
                        .anyMatch(p -> !chart.levelAt(target.part(), p).equals(Optional.of(target.at(p))));
        boolean needsCurve = group.shaping() == Shaping.RANGE && target.range().curve() != Curve.LINEAR;
        if (asItComes || needsCurve) {
            return Optional.of(new Obstacle.CannotShape());
        }
        return arrives
                ? Optional.empty()
                : Optional.of(new Blockade(ways).between(at.box(), target.device(), messages.getLast()));
    }

    private Channel receiveChannel(DeviceId device) {
        return plan.rig()
                .setting(device, Purpose.RECEIVE_CHANNEL)
                .map(Channel::new)
                .orElse(new Channel(Channel.FIRST));
    }

    private static Message onChannel(Message message, Optional<Channel> only) {
        return only.isPresent() && message instanceof Message.Voice voice ? voice.onChannel(only.get()) : message;
    }
}
