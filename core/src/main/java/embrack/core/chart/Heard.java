package embrack.core.chart;

import embrack.core.midi.Message;
import java.util.Collections;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What a box remembers of the messages that came: the last value of each number of each type. A program change that
 * follows a bank select is read by it.
 *
 * @param values by type and number
 */
public record Heard(SortedMap<Integer, Integer> values) {

    public static final Heard NOTHING = new Heard(Collections.emptySortedMap());

    public Heard {
        values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
    }

    /** With one more message. */
    public Heard with(Message message) {
        var more = new TreeMap<>(values);
        more.put(key(message), message.data2());
        return new Heard(more);
    }

    /** Whether a message that the pattern takes is the last of its number that came. */
    boolean holds(Pattern pattern) {
        return switch (pattern) {
            case Pattern.Voice voice -> {
                Integer value = values.get(voice.type().ordinal() << 7 | voice.number());
                yield value != null && voice.values().holds(value);
            }
            case Pattern.Whole whole -> values.containsKey(key(whole.message()));
        };
    }

    private static int key(Message message) {
        return message.type().ordinal() << 7 | message.data1();
    }
}
