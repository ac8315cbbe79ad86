package embrack.core.word;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Something to be said: which pattern, and the facts that it is about.
 *
 * @param room where the message file lies below {@code embrack}: "core/check/switches"
 * @param key the pattern in that file
 * @param facts by the names that the pattern has for them
 */
public record Phrase(String room, String key, Map<String, Fact> facts) {

    public Phrase {
        facts = Map.copyOf(facts);
    }

    /** A phrase without facts. */
    public static Phrase of(String room, String key) {
        return new Phrase(room, key, Map.of());
    }

    /** The phrase with one more fact; {@code value} is anything that {@link Fact#of(Object)} takes. */
    public Phrase with(String name, Object value) {
        Map<String, Fact> more = new LinkedHashMap<>(facts);
        more.put(name, Fact.of(value));
        return new Phrase(room, key, more);
    }
}
