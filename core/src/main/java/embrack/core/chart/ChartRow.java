package embrack.core.chart;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One row of a chart: what makes the box do one thing.
 *
 * @param triggers the messages in the order of sending; the box acts on the last when it has heard the others
 * @param response what it makes of the value of the last
 * @param assigned whether the message was assigned by a person and is not in the box from the factory
 */
public record ChartRow(Verb verb, Part part, List<Trigger> triggers, Response response, boolean assigned) {

    public ChartRow {
        triggers = List.copyOf(triggers);
        if (triggers.isEmpty()) {
            throw new IllegalArgumentException("a row of a chart has at least one message");
        }
        if (triggers.size() > MessageMemory.MOST) {
            throw new IllegalArgumentException(
                    "a row of a chart has at most %d messages, was %d".formatted(MessageMemory.MOST, triggers.size()));
        }
        if (verb.takesAmount() && !(triggers.getLast() instanceof Trigger.Voice)) {
            throw new IllegalArgumentException("a level travels as the value of a note or a control change");
        }
    }

    /** A row that is in the box from the factory. */
    public ChartRow(Verb verb, Part part, List<Trigger> triggers) {
        this(verb, part, triggers, Response.PLAIN, false);
    }

    /** The message that the box acts on. */
    public Trigger last() {
        return triggers.getLast();
    }

    /** The messages that must have come before. */
    List<Trigger> before() {
        return triggers.subList(0, triggers.size() - 1);
    }

    /** Whether the row is about an action, whatever its amount. */
    boolean isAbout(Action action) {
        return verb == action.verb() && part.id().equals(action.part());
    }

    /** What is sent for an action of this row; empty when its amount is none that the row can carry. */
    Optional<List<Message>> messages(Action action, Channel set) {
        if (action.amount().isEmpty()) {
            return Optional.of(triggers.stream().map(trigger -> trigger.on(set)).toList());
        }
        Trigger.Voice level = (Trigger.Voice) last();
        return action.amount()
                .flatMap(response::valueFor)
                .filter(level.values()::holds)
                .map(value -> {
                    List<Message> messages = new ArrayList<>(
                            before().stream().map(trigger -> trigger.on(set)).toList());
                    messages.add(level.on(set, value));
                    return messages;
                });
    }

    /** What the box does when the last message of the row arrives. */
    Action action(Message arrived) {
        return new Action(
                verb, part.id(), verb.takesAmount() ? Optional.of(response.level(arrived.data2())) : Optional.empty());
    }

    /** Whether a last message that fits works the function, by its value and by what came before. */
    boolean acts(Message arrived, MessageMemory heard) {
        return !assigned
                || verb.takesAmount()
                || arrived.type() == MessageType.PROGRAM_CHANGE
                || response.acts(arrived.data2(), response.alternating() && heard.isTurned(arrived) ? 1 : 0);
    }

    /** The actions that show what the row can do: the two ends of a level, else the one thing. */
    public List<Action> actions() {
        if (!verb.takesAmount()) {
            return List.of(new Action(verb, part.id()));
        }
        Values values = ((Trigger.Voice) last()).values();
        return Stream.of(response.level(values.low()), response.level(values.high()))
                .distinct()
                .map(amount -> new Action(verb, part.id(), Optional.of(amount)))
                .toList();
    }
}
