package embrack.core.compile;

import embrack.core.gear.SwitchMode;
import embrack.core.midi.Message;
import embrack.core.midi.Wire;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import java.util.Collections;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * All steps of one switch as messages.
 *
 * @param mode what the switch does as it goes down and up
 * @param steps by the moment in which they are done
 * @param byItself what the board sends beside, since its mode wants it: the other value of a message, at the second
 * press or on release
 * @param pressAlsoWhenHeld whether its press is sent at once even where it may become a hold
 */
public record CompiledSwitch(
        SwitchAt at,
        SwitchMode mode,
        SortedMap<Moment, List<CompiledStep>> steps,
        SortedMap<Moment, List<Message>> byItself,
        Wire.RunningStatus runningStatus,
        boolean pressAlsoWhenHeld) {

    /** How long a board waits for a second press before it believes in a single one. Common practice, no source. */
    public static final int DOUBLE_PRESS_MILLIS = 250;

    public CompiledSwitch {
        steps = Collections.unmodifiableSortedMap(new TreeMap<>(steps));
        byItself = Collections.unmodifiableSortedMap(new TreeMap<>(byItself));
    }

    /** The steps of all moments, in order. */
    public List<CompiledStep> allSteps() {
        return steps.values().stream().flatMap(List::stream).toList();
    }

    /** The steps of one moment. */
    public List<CompiledStep> steps(Moment moment) {
        return steps.getOrDefault(moment, List.of());
    }

    /** What is sent at a moment, in order, with the waits before. */
    public List<Sending> sendings(Moment moment) {
        Stream<Sending> meant =
                steps(moment).stream().filter(CompiledStep::isSent).flatMap(step -> sendings(step).stream());
        return Stream.concat(
                        meant, byItself.getOrDefault(moment, List.of()).stream().map(Sending::new))
                .toList();
    }

    private static List<Sending> sendings(CompiledStep step) {
        Message first = step.messages().getFirst();
        return Stream.concat(
                        Stream.of(new Sending(first, step.step().waitMillis())),
                        step.messages().stream().skip(1).map(Sending::new))
                .toList();
    }

    /** What is sent at a moment, in order. */
    public List<Message> sent(Moment moment) {
        return sendings(moment).stream().map(Sending::message).toList();
    }

    /** What a press sends, in order. */
    public List<Message> sent() {
        return sent(Moment.PRESS);
    }

    /** Bytes that a press puts on the cable. */
    public int bytes() {
        return Wire.stream(sent(), runningStatus).length;
    }

    /** How long the board holds a press back to see whether it becomes a double press, ms. */
    public int heldBackMillis() {
        return steps(Moment.DOUBLE_PRESS).isEmpty() ? 0 : DOUBLE_PRESS_MILLIS;
    }

    /** Whether the board waits with a press until the foot lets go, since it may become a hold. */
    public boolean isHeldBackForHold() {
        return !pressAlsoWhenHeld && !steps(Moment.HOLD).isEmpty();
    }

    /** The waits of a moment together, ms. */
    public int waitMillis(Moment moment) {
        return sendings(moment).stream().mapToInt(Sending::waitMillis).sum();
    }

    /** Whether any step of these moments is stopped. */
    public boolean isObstructed(List<Moment> moments) {
        return moments.stream()
                .flatMap(moment -> steps(moment).stream())
                .anyMatch(step -> step.obstacle().isPresent());
    }
}
