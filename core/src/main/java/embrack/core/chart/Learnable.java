package embrack.core.chart;

import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import java.util.Collections;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * A row without a message: the box learns one for it.
 *
 * @param types what it can learn, at least one
 * @param refusesZero whether it does not learn from a message of value 0
 */
public record Learnable(Verb verb, Part part, SortedSet<MessageType> types, boolean refusesZero) {

    public Learnable {
        types = Collections.unmodifiableSortedSet(new TreeSet<>(types));
        if (types.isEmpty()) {
            throw new IllegalArgumentException("a box that learns learns at least one type of message");
        }
    }

    public LearnableId id() {
        return new LearnableId(verb, part.id());
    }

    /** Why the box does not learn from a message, as a sentence; empty when it does. */
    public Optional<String> refusal(Message message) {
        if (!types.contains(message.type())) {
            return Optional.of(
                    "It does not learn from %s.".formatted(message.type().plural()));
        }
        return refusesZero && message.type() != MessageType.PROGRAM_CHANGE && message.data2() == 0
                ? Optional.of("It does not learn from a message of value 0; send one of value 127.")
                : Optional.empty();
    }
}
