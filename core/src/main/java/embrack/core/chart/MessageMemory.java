package embrack.core.chart;

import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What a box remembers of the messages that came. A control change holds until another of its number comes, so that a
 * program change is read by the bank select before it, however long ago; anything else counts only if it came just
 * before.
 *
 * @param controls the last value of each controller
 * @param recent the last messages, newest last
 * @param presses how many messages of the upper half of the values came, by type and number
 */
public record MessageMemory(
        SortedMap<Integer, Integer> controls, List<Message> recent, SortedMap<Integer, Integer> presses) {

    /** No row of a chart has more messages than this. */
    static final int MOST = 8;

    public static final MessageMemory NOTHING =
            new MessageMemory(Collections.emptySortedMap(), List.of(), Collections.emptySortedMap());

    public MessageMemory {
        controls = Collections.unmodifiableSortedMap(new TreeMap<>(controls));
        recent = List.copyOf(recent);
        presses = Collections.unmodifiableSortedMap(new TreeMap<>(presses));
    }

    /** With one more message. */
    public MessageMemory with(Message message) {
        var counted = new TreeMap<>(presses);
        if (message instanceof Message.Voice && message.data2() >= Response.ON) {
            counted.merge(key(message), 1, Integer::sum);
        }
        if (message instanceof Message.ControlChange change) {
            var more = new TreeMap<>(controls);
            more.put(change.controller(), change.value());
            return new MessageMemory(more, recent, counted);
        }
        List<Message> newest = new ArrayList<>(recent.subList(Math.max(0, recent.size() - MOST + 1), recent.size()));
        newest.add(message);
        return new MessageMemory(controls, newest, counted);
    }

    /** How often a message like this one came with a value of the upper half. */
    int presses(Message message) {
        return presses.getOrDefault(key(message), 0);
    }

    private static int key(Message message) {
        return message.type().ordinal() << 7 | message.data1();
    }

    /** Whether messages that these triggers take came before, in their order. */
    boolean hold(List<Trigger> triggers) {
        int back = recent.size();
        for (Trigger trigger : triggers.reversed()) {
            if (trigger instanceof Trigger.Voice voice && voice.type() == MessageType.CONTROL_CHANGE) {
                Integer value = controls.get(voice.number());
                if (value == null || !voice.values().holds(value)) {
                    return false;
                }
            } else if (--back < 0 || !trigger.matches(recent.get(back))) {
                return false;
            }
        }
        return true;
    }
}
