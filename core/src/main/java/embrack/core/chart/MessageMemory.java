package embrack.core.chart;

import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What a box remembers of the messages that came, apart by the channel on which they arrived, and no more than can ever
 * decide what a later one means to it ({@link Chart#remember}). A control change holds until another of its number
 * comes on its channel, so that a program change is read by the bank select before it, however long ago; anything else
 * counts only if it came just before.
 *
 * @param controls the last value of each controller, or another that means the same to the box
 * @param recent by channel, the last messages that may begin something, newest last
 * @param turned what alternates and came an odd number of times
 */
public record MessageMemory(
        SortedMap<OnChannel, Integer> controls, SortedMap<Integer, List<Message>> recent, SortedSet<OnChannel> turned) {

    /** No row of a chart has more messages than this. */
    static final int MOST = 8;

    /** The value of a controller that has not come. */
    private static final int NEVER = -1;

    /** Nothing has come yet. */
    public static final MessageMemory NOTHING =
            new MessageMemory(Collections.emptySortedMap(), Collections.emptySortedMap(), Collections.emptySortedSet());

    /**
     * A number on a channel.
     *
     * @param channel 1 to 16, 0 for messages that go to none
     */
    public record OnChannel(int channel, MessageType type, int number) implements Comparable<OnChannel> {

        static OnChannel of(Message message) {
            return new OnChannel(channelOf(message), message.type(), message.data1());
        }

        /** The same on every machine, which that of an enum is not. */
        @Override
        public int hashCode() {
            return 31 * (31 * channel + type.ordinal()) + number;
        }

        @Override
        public int compareTo(OnChannel other) {
            int byChannel = Integer.compare(channel, other.channel);
            int byType = byChannel != 0 ? byChannel : type.compareTo(other.type);
            return byType != 0 ? byType : Integer.compare(number, other.number);
        }
    }

    /** One thing that is remembered, apart from all others. */
    public sealed interface Key {}

    /** The last value of a controller. */
    public record Control(OnChannel at) implements Key {}

    /** What alternates by a message. */
    public record Turned(OnChannel at) implements Key {}

    /** The last messages on a channel, 1 to 16, or 0 for those that go to none. */
    public record Recent(int channel) implements Key {}

    public MessageMemory {
        controls = Collections.unmodifiableSortedMap(new TreeMap<>(controls));
        recent = Collections.unmodifiableSortedMap(new TreeMap<>(recent));
        turned = Collections.unmodifiableSortedSet(new TreeSet<>(turned));
    }

    /** The same on every machine. */
    @Override
    public int hashCode() {
        int hash = 31 * controls.hashCode() + turned.hashCode();
        for (var last : recent.entrySet()) {
            hash = 31 * hash + last.getKey();
            for (Message message : last.getValue()) {
                hash = 31 * hash + message.hex().hashCode();
            }
        }
        return hash;
    }

    /** Of all this, one thing alone. */
    public MessageMemory only(Key key) {
        return switch (key) {
            case Control control -> NOTHING.withControl(control.at, controls.getOrDefault(control.at, NEVER));
            case Turned side -> turned.contains(side.at) ? NOTHING.withTurned(side.at) : NOTHING;
            case Recent last -> NOTHING.withRecent(last.channel, recent.getOrDefault(last.channel, List.of()));
        };
    }

    /** This and what another one remembers beside it. */
    public MessageMemory and(MessageMemory other) {
        if (other.isNothing()) {
            return this;
        }
        if (isNothing()) {
            return other;
        }
        var allControls = new TreeMap<>(controls);
        allControls.putAll(other.controls);
        var allRecent = new TreeMap<>(recent);
        allRecent.putAll(other.recent);
        var allTurned = new TreeSet<>(turned);
        allTurned.addAll(other.turned);
        return new MessageMemory(allControls, allRecent, allTurned);
    }

    private boolean isNothing() {
        return controls.isEmpty() && recent.isEmpty() && turned.isEmpty();
    }

    /** With another last value of a controller. */
    MessageMemory withControl(OnChannel at, int value) {
        if (value == controls.getOrDefault(at, NEVER)) {
            return this;
        }
        var more = new TreeMap<>(controls);
        more.put(at, value);
        return new MessageMemory(more, recent, turned);
    }

    /** With other last messages on a channel. */
    MessageMemory withRecent(int channel, List<Message> messages) {
        if (messages.equals(recent.getOrDefault(channel, List.of()))) {
            return this;
        }
        var more = new TreeMap<>(recent);
        if (messages.isEmpty()) {
            more.remove(channel);
        } else {
            more.put(channel, List.copyOf(messages));
        }
        return new MessageMemory(controls, more, turned);
    }

    /** With something that alternates turned round. */
    MessageMemory withTurned(OnChannel at) {
        var more = new TreeSet<>(turned);
        if (!more.remove(at)) {
            more.add(at);
        }
        return new MessageMemory(controls, recent, more);
    }

    /** Whether what alternates by a message is at its second side. */
    boolean isTurned(Message message) {
        return turned.contains(OnChannel.of(message));
    }

    /**
     * Whether messages that these triggers take came before, in their order.
     *
     * @param last the message that arrives behind them
     */
    boolean hold(List<Trigger> triggers, Message last) {
        Map<Integer, Integer> back = new HashMap<>();
        for (Trigger trigger : triggers.reversed()) {
            boolean came =
                    switch (trigger) {
                        case Trigger.Voice voice
                        when voice.type() == MessageType.CONTROL_CHANGE ->
                            channels(voice, last).anyMatch(channel -> holds(voice, channel));
                        case Trigger.Voice voice ->
                            channels(voice, last).anyMatch(channel -> isNext(voice, channel, back));
                        case Trigger.Whole whole -> isNext(whole, 0, back);
                    };
            if (!came) {
                return false;
            }
        }
        return true;
    }

    /** What {@link #hold} asks about. */
    static Stream<Key> asked(List<Trigger> triggers, Message last) {
        return triggers.stream().flatMap(trigger -> switch (trigger) {
            case Trigger.Voice voice
            when voice.type() == MessageType.CONTROL_CHANGE ->
                channels(voice, last)
                        .mapToObj(channel -> new Control(new OnChannel(channel, voice.type(), voice.number())));
            case Trigger.Voice voice -> channels(voice, last).mapToObj(Recent::new);
            case Trigger.Whole whole -> Stream.of(new Recent(0));
        });
    }

    private boolean holds(Trigger.Voice voice, int channel) {
        Integer value = controls.get(new OnChannel(channel, voice.type(), voice.number()));
        return value != null && voice.values().holds(value);
    }

    /** Whether it takes the newest message of a channel that none has taken yet. */
    private boolean isNext(Trigger trigger, int channel, Map<Integer, Integer> back) {
        List<Message> messages = recent.getOrDefault(channel, List.of());
        int at = messages.size() - 1 - back.getOrDefault(channel, 0);
        if (at < 0 || !trigger.matches(messages.get(at))) {
            return false;
        }
        back.merge(channel, 1, Integer::sum);
        return true;
    }

    /** The channel of a trigger: its own, else that of the message; any, where that goes to none. */
    private static IntStream channels(Trigger.Voice voice, Message last) {
        int arriving = channelOf(last);
        return voice.channel().isPresent()
                ? IntStream.of(voice.channel().get().number())
                : arriving == 0 ? IntStream.rangeClosed(1, 16) : IntStream.of(arriving);
    }

    static int channelOf(Message message) {
        return message instanceof Message.Voice voice ? voice.channel().number() : 0;
    }
}
