package embrack.core.gear;

import embrack.core.midi.Channel;
import embrack.core.midi.MessageType;
import embrack.core.name.Words;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
 * @param fixed what they send that cannot be programmed, in the order of its types
 * @param modes what those that are pressed can do down and up; none of those that are swept
 */
public record ControlGroup(
        ControlType type,
        int count,
        int columns,
        SortedSet<MessageType> sends,
        Optional<Channel> channel,
        Shaping shaping,
        int numbers,
        List<FactoryRun> fixed,
        SortedSet<SwitchMode> modes) {

    /** No box is known with more controls of one type, or switches in a bank. */
    public static final int MOST = 128;

    /** What a pad, key or button does where nothing is said: it sends as it goes down and again as it comes up. */
    private static final SortedSet<SwitchMode> PRESSED = new TreeSet<>(EnumSet.of(SwitchMode.MOMENTARY));

    /** No control is known that sends more. */
    public static final int MOST_NUMBERS = 16;

    public ControlGroup {
        sends = Collections.unmodifiableSortedSet(new TreeSet<>(sends));
        fixed = FactoryNumbers.of(fixed).fixed().stream()
                .sorted(Comparator.comparing(FactoryRun::type))
                .toList();
        modes = Collections.unmodifiableSortedSet(
                type.isSwept() ? new TreeSet<>() : modes.isEmpty() ? PRESSED : new TreeSet<>(modes));
        if (count < 1 || count > MOST) {
            throw new IllegalArgumentException("there are 1 to 128 %s, was %d".formatted(type.plural(), count));
        }
        if (columns < 1 || columns > count) {
            throw new IllegalArgumentException("a row has 1 to %d %s, was %d".formatted(count, type.plural(), columns));
        }
        if (numbers < 1 || numbers > MOST_NUMBERS) {
            throw new IllegalArgumentException(
                    "one of %s sends 1 to %d messages, was %d".formatted(type.plural(), MOST_NUMBERS, numbers));
        }
        Set<MessageType> types = sends;
        if (fixed.stream().anyMatch(run -> !types.contains(run.type()))) {
            throw new IllegalArgumentException("%s send what is fixed, too".formatted(type.plural()));
        }
        if (fixed.stream().flatMap(run -> run.on().stream()).anyMatch(n -> n > count)) {
            throw new IllegalArgumentException(
                    "a fixed number is for one of %s that is not there".formatted(type.plural()));
        }
        if (sends.isEmpty()) {
            throw new IllegalArgumentException("%s send at least one type of message".formatted(type.plural()));
        }
    }

    /** Controls that send their way as it is, by one message. */
    public ControlGroup(
            ControlType type, int count, int columns, SortedSet<MessageType> sends, Optional<Channel> channel) {
        this(type, count, columns, sends, channel, Shaping.NONE, 1, List.of(), new TreeSet<>());
    }

    /** Whether its modes are other than those of most pads, keys and buttons. */
    public boolean saysModes() {
        return !type.isSwept() && !modes.equals(PRESSED);
    }

    /**
     * What one of them sends that cannot be programmed; empty when it can.
     *
     * @param number among those of the group, counted from 1
     */
    public Optional<FactoryMessage> fixed(int bank, int number, BankChange change) {
        return FactoryNumbers.of(fixed).fixed(bank, number, change);
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
