package embrack.core.plan;

import embrack.core.gear.BankChange;
import embrack.core.gear.Board;
import embrack.core.gear.FactoryRun;
import embrack.core.gear.Model;
import embrack.core.gear.SendChannel;
import embrack.core.gear.SettingId;
import embrack.core.midi.Channel;
import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.way.Way;
import embrack.core.way.Ways;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Turns what switches should do into what boards have to send. */
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
        List<CompiledStep> compiled = new ArrayList<>();
        int sent = 0;
        for (Step step : assignment.steps()) {
            CompiledStep next = compile(assignment.at(), step, sent);
            compiled.add(next);
            sent += next.isSent() ? next.messages().size() : 0;
        }
        return new CompiledSwitch(assignment.at(), compiled, plan.board(assignment.at().board()).runningStatus());
    }

    /** One step, as it would be if nothing else were sent in the same press. */
    public CompiledStep compile(SwitchAt at, Step step) {
        return compile(at, step, 0);
    }

    private CompiledStep compile(SwitchAt at, Step step, int sentBefore) {
        Model receiver = plan.rig().model(step.device());
        List<Message> messages = messages(at, step);
        if (messages.isEmpty()) {
            return new CompiledStep(step, List.of(), Optional.empty(), Optional.of(receiver.chart().lessonFor(step.action()).isPresent()
                    ? new Obstacle.NothingLearned() : new Obstacle.NoChartLine()));
        }
        Optional<Way> way = ways.between(at.board(), step.device(), messages.getLast());
        return new CompiledStep(step, messages, way, obstacle(at, step.device(), messages, way.isPresent(), sentBefore));
    }

    private Optional<Obstacle> obstacle(SwitchAt at, DeviceId receiver, List<Message> messages, boolean arrives, int sentBefore) {
        Board board = plan.board(at.board());
        Optional<MessageType> unsendable = messages.stream().map(Message::type).filter(type -> !board.sends().contains(type)).findFirst();
        if (unsendable.isPresent()) {
            return Optional.of(new Obstacle.CannotSend(unsendable.get()));
        }
        Optional<Obstacle> fixed = board.factoryRun().flatMap(run -> fixed(run, run.number(at.bank(), at.number(), board.bankChange()), messages.getFirst()));
        if (fixed.isPresent()) {
            return fixed;
        }
        if (sentBefore + messages.size() > board.messagesPerPress()) {
            return Optional.of(new Obstacle.OneTooMany());
        }
        return arrives ? Optional.empty() : Optional.of(new Blockade(ways).between(at.board(), receiver, messages.getLast()));
    }

    private static Optional<Obstacle> fixed(FactoryRun run, int number, Message wanted) {
        boolean same = wanted.type() == run.type() && wanted.data1() == number
                && (wanted.type() == MessageType.PROGRAM_CHANGE || wanted.data2() == DataByte.MAX);
        return same ? Optional.empty() : Optional.of(new Obstacle.SendsItsOwn(run.type(), number));
    }

    private List<Message> messages(SwitchAt at, Step step) {
        Channel channel = setChannel(step.device(), SettingId.RECEIVE_CHANNEL).orElse(new Channel(Channel.FIRST));
        List<Message> messages = plan.rig().model(step.device()).messagesFor(step.action(), channel).orElse(List.of());
        return plan.board(at.board()).sendChannel() == SendChannel.EACH_MESSAGE ? messages
                : messages.stream().map(message -> onBoardChannel(at, message)).toList();
    }

    /** A board with one channel for everything sends on that, wherever the message was meant to go; some count it up with the banks. */
    private Message onBoardChannel(SwitchAt at, Message message) {
        if (!(message instanceof Message.Voice voice)) {
            return message;
        }
        Channel set = setChannel(at.board(), SettingId.SEND_CHANNEL).orElseThrow();
        boolean counts = plan.board(at.board()).bankChange() == BankChange.CHANNEL;
        return voice.onChannel(counts ? Channel.ofWire((set.wire() + at.bank() - 1) % Channel.LAST) : set);
    }

    private Optional<Channel> setChannel(DeviceId device, SettingId setting) {
        return plan.rig().setting(device, setting).map(Channel::new);
    }
}
