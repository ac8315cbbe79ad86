package embrack.core.chart;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One row of a chart: what makes the box do one thing.
 *
 * @param triggers the messages in the order of sending; the box acts on the last when it has heard the others
 */
public record ChartRow(Verb verb, Part part, List<Trigger> triggers) {

    public ChartRow {
        triggers = List.copyOf(triggers);
        if (triggers.isEmpty()) {
            throw new IllegalArgumentException("a row of a chart has at least one message");
        }
        if (triggers.size() > Heard.MOST) {
            throw new IllegalArgumentException("a row of a chart has at most %d messages, was %d".formatted(Heard.MOST, triggers.size()));
        }
        if (verb.takesAmount() && !(triggers.getLast() instanceof Trigger.Voice)) {
            throw new IllegalArgumentException("a level travels as the value of a note or a control change");
        }
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
        int amount = action.amount().get();
        Trigger.Voice level = (Trigger.Voice) last();
        if (!level.values().holds(amount)) {
            return Optional.empty();
        }
        List<Message> messages = new ArrayList<>(before().stream().map(trigger -> trigger.on(set)).toList());
        messages.add(level.on(set, amount));
        return Optional.of(messages);
    }

    /** What the box does when the last message of the row arrives. */
    Action action(Message arrived) {
        return new Action(verb, part.id(), verb.takesAmount() ? Optional.of(arrived.data2()) : Optional.empty());
    }

    /** The actions that show what the row can do: the two ends of a level, else the one thing. */
    public List<Action> actions() {
        if (!verb.takesAmount()) {
            return List.of(new Action(verb, part.id()));
        }
        Values values = ((Trigger.Voice) last()).values();
        return Stream.of(values.low(), values.high()).distinct()
                .map(amount -> new Action(verb, part.id(), Optional.of(amount))).toList();
    }
}
