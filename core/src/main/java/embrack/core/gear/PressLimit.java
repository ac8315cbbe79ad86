package embrack.core.gear;

import embrack.core.midi.MessageType;
import java.util.Collections;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * How much one press can send.
 *
 * @param messages of all types together, 1 to 128
 * @param ofType fewer of a type, where the box has places for each type by itself; 1 to {@code messages} each
 */
public record PressLimit(int messages, SortedMap<MessageType, Integer> ofType) {

    public PressLimit {
        ofType = Collections.unmodifiableSortedMap(new TreeMap<>(ofType));
        if (messages < 1 || messages > 128) {
            throw new IllegalArgumentException("a press sends 1 to 128 messages at most, was " + messages);
        }
        int most = messages;
        ofType.forEach((type, limit) -> {
            if (limit < 1 || limit > most) {
                throw new IllegalArgumentException(
                        "a press sends 1 to %d %s, was %d".formatted(most, type.plural(), limit));
            }
        });
    }

    /** So many messages of whatever type. */
    public static PressLimit of(int messages) {
        return new PressLimit(messages, new TreeMap<>());
    }

    /** Whether a press can send so many of each type. */
    public boolean allows(Map<MessageType, Integer> counts) {
        return counts.values().stream().mapToInt(n -> n).sum() <= messages
                && counts.entrySet().stream().allMatch(e -> e.getValue() <= ofType.getOrDefault(e.getKey(), messages));
    }
}
