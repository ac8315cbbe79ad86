package embrack.core.chart;

import embrack.core.chart.MessageMemory.Key;
import embrack.core.chart.MessageMemory.OnChannel;
import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntPredicate;

/**
 * What a chart has to remember of messages, and no more: of a controller that stands before another message the class
 * of its last value, of other messages those that may begin something, of what alternates the side. So two histories
 * that no later message can tell apart are the same memory.
 */
final class Reduction {

    private final Map<Integer, int[]> classes = new HashMap<>();
    private final Set<Trigger> beginnings = new HashSet<>();
    private final Set<Integer> alternating = new HashSet<>();
    private int depth;

    Reduction(List<ChartRow> rows) {
        Map<Integer, List<Trigger.Voice>> controls = new HashMap<>();
        for (ChartRow row : rows) {
            int others = 0;
            for (Trigger trigger : row.before()) {
                if (trigger instanceof Trigger.Voice voice && voice.type() == MessageType.CONTROL_CHANGE) {
                    controls.computeIfAbsent(voice.number(), n -> new ArrayList<>())
                            .add(voice);
                } else {
                    beginnings.add(trigger);
                    others++;
                }
            }
            depth = Math.max(depth, others);
            if (row.response().alternating() && row.last() instanceof Trigger.Voice voice) {
                alternating.add(key(voice.type(), voice.number()));
            }
        }
        controls.forEach((number, triggers) -> classes.put(number, classes(triggers)));
    }

    /** For each value the lowest that no trigger can tell from it. */
    private static int[] classes(List<Trigger.Voice> triggers) {
        int[] lowest = new int[DataByte.MAX + 1];
        for (int value = 0; value <= DataByte.MAX; value++) {
            int at = value;
            lowest[value] = lowest(
                    value,
                    other -> triggers.stream()
                            .allMatch(t -> t.values().holds(other) == t.values().holds(at)));
        }
        return lowest;
    }

    private static int lowest(int value, IntPredicate isAlike) {
        for (int other = 0; other < value; other++) {
            if (isAlike.test(other)) {
                return other;
            }
        }
        return value;
    }

    /** What a message may change of what is remembered. */
    Set<Key> changedBy(Message message) {
        Set<Key> changed = new HashSet<>();
        if (turns(message)) {
            changed.add(new MessageMemory.Turned(OnChannel.of(message)));
        }
        if (message instanceof Message.ControlChange change) {
            if (classes.containsKey(change.controller())) {
                changed.add(new MessageMemory.Control(OnChannel.of(message)));
            }
        } else if (depth > 0) {
            changed.add(new MessageMemory.Recent(MessageMemory.channelOf(message)));
        }
        return changed;
    }

    private boolean turns(Message message) {
        return message instanceof Message.Voice
                && !message.isRelease()
                && message.data2() >= Response.ON
                && alternating.contains(key(message.type(), message.data1()));
    }

    MessageMemory remember(MessageMemory before, Message message) {
        MessageMemory after = before;
        if (turns(message)) {
            after = after.withTurned(OnChannel.of(message));
        }
        if (message instanceof Message.ControlChange change) {
            int[] lowest = classes.get(change.controller());
            return lowest == null ? after : after.withControl(OnChannel.of(message), lowest[change.value()]);
        }
        return depth == 0 ? after : recalled(after, message);
    }

    private MessageMemory recalled(MessageMemory before, Message message) {
        int channel = MessageMemory.channelOf(message);
        if (beginnings.stream().noneMatch(trigger -> trigger.matches(message))) {
            return before.withRecent(channel, List.of());
        }
        List<Message> messages = new ArrayList<>(before.recent().getOrDefault(channel, List.of()));
        messages.add(message);
        return before.withRecent(channel, messages.subList(Math.max(0, messages.size() - depth), messages.size()));
    }

    private static int key(MessageType type, int number) {
        return type.ordinal() << 7 | number;
    }
}
