package embrack.core.check.remedy;

import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Remedy;
import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.gear.Board;
import embrack.core.gear.Gesture;
import embrack.core.gear.Model;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.library.Library;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Finds hardware in the library that could do a board's whole job. */
public final class OtherHardware {

    private static final int MOST_NAMED = 4;

    private final Plan plan;
    private final DeviceId board;

    private OtherHardware(Plan plan, DeviceId board) {
        this.plan = plan;
        this.board = board;
    }

    /** Boards of the library that send all that the switches of a board need. */
    public static Remedies instead(Plan plan, DeviceId board) {
        return instead(plan, board, any -> true);
    }

    /** As {@link #instead(Plan, DeviceId)}, among the boards that are also otherwise fit. */
    public static Remedies instead(Plan plan, DeviceId board, Predicate<Board> fit) {
        return () -> new OtherHardware(plan, board).all(fit);
    }

    private Stream<Remedy> all(Predicate<Board> fit) {
        return Library.all().stream()
                .filter(model -> model.board().filter(fit).isPresent())
                .filter(this::canDoTheJob)
                .limit(MOST_NAMED)
                .map(model -> new Remedy("use-hardware", new GearEdit.SwapHardware(board, model))
                        .with("other-model", model.name()));
    }

    private boolean canDoTheJob(Model model) {
        return model.board().filter(this::sendsEnough).isPresent()
                && isAccepted(new GearEdit.SwapHardware(board, model));
    }

    private boolean sendsEnough(Board candidate) {
        return candidate.factory().fixed().isEmpty()
                && candidate.sends().containsAll(neededTypes())
                && presses().allMatch(candidate.limit()::allows)
                && candidate.gestures().containsAll(neededGestures())
                && candidate.longestWaitMillis() >= longestWait()
                && candidate.modes().containsAll(neededModes());
    }

    private Set<Gesture> neededGestures() {
        return plan.switches().of(board).stream()
                .flatMap(a -> a.moments().keySet().stream())
                .map(Moment::gesture)
                .collect(Collectors.toSet());
    }

    private Set<SwitchMode> neededModes() {
        return plan.switches().of(board).stream()
                .flatMap(a -> Stream.concat(
                        a.mode().stream(),
                        a.steps(Moment.AGAIN).isEmpty() ? Stream.empty() : Stream.of(SwitchMode.ALTERNATING)))
                .collect(Collectors.toSet());
    }

    private int longestWait() {
        return plan.switches().of(board).stream()
                .flatMap(a -> a.steps().stream())
                .mapToInt(Step::waitMillis)
                .max()
                .orElse(0);
    }

    private Set<MessageType> neededTypes() {
        return plan.switches().of(board).stream()
                .flatMap(a -> a.steps().stream())
                .flatMap(step ->
                        plan.rig().chart(step.device()).messagesFor(step.action(), new Channel(Channel.FIRST)).stream())
                .flatMap(List::stream)
                .map(Message::type)
                .collect(Collectors.toSet());
    }

    /** How many messages of each type the presses send. */
    private Stream<Map<MessageType, Integer>> presses() {
        return plan.switches().of(board).stream()
                .flatMap(a -> a.moments().values().stream())
                .map(steps -> steps.stream()
                        .flatMap(
                                step -> plan
                                        .rig()
                                        .chart(step.device())
                                        .messagesFor(step.action(), new Channel(Channel.FIRST))
                                        .stream())
                        .flatMap(List::stream)
                        .collect(Collectors.groupingBy(Message::type, Collectors.summingInt(m -> 1))));
    }

    private boolean isAccepted(GearEdit.SwapHardware swap) {
        try {
            swap.apply(plan);
            return true;
        } catch (Refused e) {
            return false;
        }
    }
}
