package embrack.core.line;

import embrack.core.chart.Action;
import embrack.core.chart.LearnableId;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.Refused;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.Purpose;
import embrack.core.gear.SwitchMode;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.Message.Voice;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What would have to be otherwise in a plan for what came to be right: another mode of the switch, another channel,
 * another learned number, another thing that the switch does. Each is tried; what changes least comes first.
 */
public final class Taking {

    private final Plan plan;
    private final Task task;
    private final Came came;

    private Taking(Plan plan, Task task, Came came) {
        this.plan = plan;
        this.task = task;
        this.came = came;
    }

    /** The edit after which what came for a task is right; empty where there is none such, and where nothing came. */
    public static Optional<Edit> of(Plan plan, Task task, Came came) {
        Taking taking = new Taking(plan, task, came);
        return came.bursts().isEmpty() || !plan.has(task.at())
                ? Optional.empty()
                : taking.ways().filter(taking::settles).findFirst();
    }

    private boolean settles(Edit edit) {
        try {
            Plan after = edit.apply(plan);
            return Planned.of(
                            new Compiler(after).compile(after.switches().at(task.at())),
                            task.how(),
                            after.board(task.at()))
                    .filter(planned ->
                            new Judging(after).of(planned, came.bursts()).isEmpty())
                    .isPresent();
        } catch (Refused e) {
            return false;
        }
    }

    private Stream<Edit> ways() {
        return Stream.of(modes(), channels(), learned(), actions()).flatMap(edits -> edits);
    }

    private Stream<Edit> modes() {
        SwitchMode likely = amiss() instanceof Amiss.Momentary ? SwitchMode.MOMENTARY : SwitchMode.ALTERNATING;
        return plan.board(task.at()).modes().stream()
                .sorted(Comparator.comparing(mode -> mode != likely))
                .map(mode -> new SwitchEdit.ChooseMode(task.at(), Optional.of(mode)));
    }

    private @Nullable Amiss amiss() {
        return Planned.of(new Compiler(plan).compile(plan.switches().at(task.at())), task.how(), plan.board(task.at()))
                .flatMap(planned -> new Judging(plan).of(planned, came.bursts()))
                .orElse(null);
    }

    private List<Step> steps() {
        return plan.switches().at(task.at()).steps(task.how());
    }

    private Stream<Edit> channels() {
        Message first = came.bursts().getFirst().content().getFirst();
        if (!(first instanceof Voice voice)) {
            return Stream.empty();
        }
        return Stream.concat(
                channel(task.box(), Purpose.SEND_CHANNEL, voice.channel()),
                steps().stream()
                        .map(Step::device)
                        .distinct()
                        .flatMap(device -> channel(device, Purpose.RECEIVE_CHANNEL, voice.channel())));
    }

    private Stream<Edit> channel(DeviceId device, Purpose purpose, Channel channel) {
        return plan.rig().setting(device, purpose).stream()
                .map(now -> new GearEdit.ChangeSetting(
                        device, plan.rig().settingFor(device, purpose).id(), String.valueOf(channel.number())));
    }

    private Stream<Edit> learned() {
        List<Message> content = came.bursts().getFirst().content();
        return steps().stream()
                .filter(step -> plan.rig().device(step.device()).learned().containsKey(LearnableId.of(step.action())))
                .flatMap(step -> content.stream()
                        .filter(Voice.class::isInstance)
                        .map(Voice.class::cast)
                        .map(message -> new NumberEdit.PinNumber(
                                step.device(),
                                LearnableId.of(step.action()),
                                message.type() == MessageType.NOTE_OFF ? MessageType.NOTE_ON : message.type(),
                                String.valueOf(message.channel().number()),
                                String.valueOf(message.data1()))));
    }

    /** Other things of the same boxes, for each step whose messages are not those that came in its place. */
    private Stream<Edit> actions() {
        SwitchAt at = task.at();
        Moment how = task.how();
        CompiledSwitch compiled = new Compiler(plan).compile(plan.switches().at(at));
        List<Message> content = came.bursts().getFirst().content();
        List<Step> others = new ArrayList<>();
        int from = 0;
        for (CompiledStep step : compiled.steps(how)) {
            int to = from + step.messages().size();
            if (to > content.size()) {
                return Stream.empty();
            }
            Optional<Step> other = doing(step, content.subList(from, to));
            if (other.isEmpty()) {
                return Stream.empty();
            }
            others.add(other.get());
            from = to;
        }
        return Stream.of(new SwitchEdit.DoInstead(at, how, others));
    }

    private Optional<Step> doing(CompiledStep step, List<Message> content) {
        if (Likeness.same(step.messages(), content)) {
            return Optional.of(step.step());
        }
        DeviceId device = step.step().device();
        Channel channel = content.getFirst() instanceof Voice voice ? voice.channel() : new Channel(Channel.FIRST);
        return plan.rig().chart(device).actions().stream()
                .filter(action -> sends(device, action, channel, content))
                .map(action -> new Step(device, action))
                .findFirst();
    }

    private boolean sends(DeviceId device, Action action, Channel channel, List<Message> content) {
        return plan.rig()
                .chart(device)
                .messagesFor(action, channel)
                .filter(messages -> Likeness.same(messages, content))
                .isPresent();
    }
}
