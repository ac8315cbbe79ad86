package embrack.core.plan;

import embrack.core.gear.Board;
import embrack.core.gear.MessageTemplate;
import embrack.core.gear.SendChannel;
import embrack.core.gear.SettingId;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.rig.Cable;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Paths;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Turns what switches should do into what boards have to send. */
public final class Compiler {

    private final Plan plan;
    private final Paths paths;

    public Compiler(Plan plan) {
        this.plan = plan;
        this.paths = new Paths(plan.rig());
    }

    /** Every used switch, in order. */
    public List<CompiledSwitch> all() {
        return plan.switches().assignments().stream().map(this::compile).toList();
    }

    /** One switch; the steps beyond what the board sends in a press are stopped, the ones before are not. */
    public CompiledSwitch compile(Assignment assignment) {
        DeviceId sender = assignment.at().board();
        Board board = plan.board(sender);
        List<CompiledStep> compiled = new ArrayList<>();
        int sent = 0;
        for (Step step : assignment.steps()) {
            CompiledStep next = compile(sender, board, step, sent);
            compiled.add(next);
            sent += next.isSent() ? 1 : 0;
        }
        return new CompiledSwitch(assignment.at(), compiled, board.runningStatus());
    }

    /** One step, as it would be if nothing else were sent in the same press. */
    public CompiledStep compile(DeviceId sender, Step step) {
        return compile(sender, plan.board(sender), step, 0);
    }

    private CompiledStep compile(DeviceId sender, Board board, Step step, int sentBefore) {
        Optional<MessageTemplate> line = plan.rig().model(step.device()).messageFor(step.action());
        if (line.isEmpty()) {
            return new CompiledStep(step, Optional.empty(), List.of(), Optional.of(new Obstacle.NoChartLine()));
        }
        Message message = line.get().on(channel(sender, board, step.device()));
        Optional<List<Cable>> path = paths.between(sender, step.device());
        return new CompiledStep(step, Optional.of(message), path.orElse(List.of()),
                obstacle(board, message, path.isPresent(), sentBefore));
    }

    private static Optional<Obstacle> obstacle(Board board, Message message, boolean hasPath, int sentBefore) {
        if (!board.sends().contains(message.type())) {
            return Optional.of(new Obstacle.CannotSend(message.type()));
        }
        if (sentBefore >= board.messagesPerPress()) {
            return Optional.of(new Obstacle.OneTooMany());
        }
        return hasPath ? Optional.empty() : Optional.of(new Obstacle.NoPath());
    }

    private Channel channel(DeviceId sender, Board board, DeviceId receiver) {
        return board.sendChannel() == SendChannel.ONE_FOR_THE_BOX
                ? setChannel(sender, SettingId.SEND_CHANNEL)
                : setChannel(receiver, SettingId.RECEIVE_CHANNEL);
    }

    private Channel setChannel(DeviceId device, SettingId setting) {
        return new Channel(plan.rig().setting(device, setting).orElseThrow(() -> new IllegalStateException(
                "%s has no setting %s".formatted(plan.rig().name(device), setting))));
    }
}
