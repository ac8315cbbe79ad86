package embrack.core.gear;

import embrack.core.midi.Channel;
import embrack.core.midi.MessageType;
import embrack.core.name.Words;
import java.util.Collections;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * Controls of one type that lie together.
 *
 * @param count 1 to 128
 * @param columns controls in a row, 1 to {@code count}
 * @param sends what they can send, at least one type
 * @param channel the channel they keep whatever the box is set to, as pads often do
 * @param shaping what the box makes of their way before it sends it
 * @param numbers how many different messages one of them can send as it moves, 1 to 16
 */
public record ControlGroup(
        ControlType type,
        int count,
        int columns,
        SortedSet<MessageType> sends,
        Optional<Channel> channel,
        Shaping shaping,
        int numbers) {

    /** No control is known that sends more. */
    public static final int MOST_NUMBERS = 16;

    public ControlGroup {
        sends = Collections.unmodifiableSortedSet(new TreeSet<>(sends));
        if (count < 1 || count > 128) {
            throw new IllegalArgumentException("there are 1 to 128 %s, was %d".formatted(type.plural(), count));
        }
        if (columns < 1 || columns > count) {
            throw new IllegalArgumentException("a row has 1 to %d %s, was %d".formatted(count, type.plural(), columns));
        }
        if (numbers < 1 || numbers > MOST_NUMBERS) {
            throw new IllegalArgumentException(
                    "one of %s sends 1 to %d messages, was %d".formatted(type.plural(), MOST_NUMBERS, numbers));
        }
        if (sends.isEmpty()) {
            throw new IllegalArgumentException("%s send at least one type of message".formatted(type.plural()));
        }
    }

    /** Controls that send their way as it is, by one message. */
    public ControlGroup(
            ControlType type, int count, int columns, SortedSet<MessageType> sends, Optional<Channel> channel) {
        this(type, count, columns, sends, channel, Shaping.NONE, 1);
    }

    /** The group in words: "8 faders, send control changes". */
    public String words() {
        return "%s, %s %s%s"
                .formatted(
                        Words.count(count, type.words()),
                        count == 1 ? "sends" : "send",
                        Words.list(sends.stream().map(MessageType::plural).toList()),
                        channel.map(c -> ", always on channel " + c.number()).orElse("")
                                + (shaping == Shaping.NONE ? "" : ", with " + shaping.words())
                                + (numbers == 1 ? "" : ", %d messages each".formatted(numbers)));
    }
}
