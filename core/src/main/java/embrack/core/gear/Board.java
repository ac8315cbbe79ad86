package embrack.core.gear;

import embrack.core.midi.MessageType;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.ValueDisplay;
import embrack.core.midi.Wire.RunningStatus;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * The switches of a box that is pressed, and what they can send.
 *
 * @param switches switches in a bank, 1 to 32
 * @param columns switches in a row as they lie on the box, 1 to {@code switches}
 * @param banks the banks by the names that the box shows, at least one
 * @param bankChange what a bank changes
 * @param sends message types that a switch can send, at least one
 * @param limit most messages that one press can send
 * @param gestures what a switch can tell apart, at least the press
 * @param modes what it can do down and up, at least one
 * @param factory what its factory chose: what cannot be programmed, and what can be chosen
 * @param programs what the box calls the first program
 * @param display how the box shows values while it is programmed
 * @param longestWaitMillis the longest wait between two messages of one press, in ms; 0 when all are sent at once
 * @param labelCharacters how many characters of a name the box shows for each switch; 0 for none
 */
public record Board(
        int switches,
        int columns,
        List<TapeLabel> banks,
        BankChange bankChange,
        SortedSet<MessageType> sends,
        PressLimit limit,
        SortedSet<Gesture> gestures,
        SortedSet<SwitchMode> modes,
        FactoryNumbers factory,
        SendChannel sendChannel,
        RunningStatus runningStatus,
        ProgramCounting programs,
        ValueDisplay display,
        int longestWaitMillis,
        int labelCharacters) {

    public Board {
        banks = List.copyOf(banks);
        sends = Collections.unmodifiableSortedSet(new TreeSet<>(sends));
        gestures = Collections.unmodifiableSortedSet(new TreeSet<>(gestures));
        modes = Collections.unmodifiableSortedSet(new TreeSet<>(modes));
        if (switches < 1 || switches > ControlGroup.MOST) {
            throw new IllegalArgumentException(
                    "a board has 1 to %d switches in a bank, was %d".formatted(ControlGroup.MOST, switches));
        }
        if (columns < 1 || columns > switches) {
            throw new IllegalArgumentException("a row has 1 to %d switches, was %d".formatted(switches, columns));
        }
        if (banks.isEmpty() || banks.size() > 128) {
            throw new IllegalArgumentException("a board has 1 to 128 banks, was " + banks.size());
        }
        if (sends.isEmpty()) {
            throw new IllegalArgumentException("a board sends at least one type of message");
        }
        if (!gestures.contains(Gesture.PRESS) || modes.isEmpty()) {
            throw new IllegalArgumentException("a switch knows at least the press, and one mode");
        }
        if (longestWaitMillis < 0 || longestWaitMillis > 60_000) {
            throw new IllegalArgumentException("a board waits 0 to 60000 ms at most, was " + longestWaitMillis);
        }
        if (labelCharacters < 0 || labelCharacters > 24) {
            throw new IllegalArgumentException("a display shows 0 to 24 characters of a name, was " + labelCharacters);
        }
        if (factory.counter().isPresent() && factory.counter().get().positions() != banks.size()) {
            throw new IllegalArgumentException("a board that counts %d programs has as many banks, was %d"
                    .formatted(factory.counter().get().positions(), banks.size()));
        }
        if (factory.counter().isPresent() && bankChange != BankChange.ASSIGNMENTS) {
            throw new IllegalArgumentException("the banks of a board that counts change the program, and nothing else");
        }
        if (factory.highest() > switches) {
            throw new IllegalArgumentException(
                    "a factory number is for switch %d of %d".formatted(factory.highest(), switches));
        }
    }

    /** A board that is programmed freely, with one-shot switches that know the press alone. */
    public static Board simple(
            int switches,
            int columns,
            List<TapeLabel> banks,
            SortedSet<MessageType> sends,
            int messagesPerPress,
            SendChannel sendChannel,
            ValueDisplay display) {
        return new Board(
                switches,
                columns,
                banks,
                BankChange.ASSIGNMENTS,
                sends,
                PressLimit.of(messagesPerPress),
                new TreeSet<>(EnumSet.of(Gesture.PRESS)),
                new TreeSet<>(EnumSet.of(SwitchMode.ONE_SHOT)),
                FactoryNumbers.NONE,
                sendChannel,
                RunningStatus.NOT_USED,
                ProgramCounting.FROM_ONE,
                display,
                0,
                0);
    }

    /** The types it can send in a sentence: "control changes and notes". */
    public String sendsWords() {
        return Words.list(sends.stream().map(MessageType::plural).toList());
    }

    /** The same board with other gestures and modes. */
    public Board withGestures(SortedSet<Gesture> others, SortedSet<SwitchMode> otherModes) {
        return new Board(
                switches,
                columns,
                banks,
                bankChange,
                sends,
                limit,
                others,
                otherModes,
                factory,
                sendChannel,
                runningStatus,
                programs,
                display,
                longestWaitMillis,
                labelCharacters);
    }

    /** The same board with switches that send what a factory chose. */
    public Board withFactory(FactoryNumbers other) {
        return new Board(
                switches,
                columns,
                banks,
                bankChange,
                sends,
                limit,
                gestures,
                modes,
                other,
                sendChannel,
                runningStatus,
                programs,
                display,
                longestWaitMillis,
                labelCharacters);
    }

    /** The same board with another limit of a press. */
    public Board withLimit(PressLimit other) {
        return new Board(
                switches,
                columns,
                banks,
                bankChange,
                sends,
                other,
                gestures,
                modes,
                factory,
                sendChannel,
                runningStatus,
                programs,
                display,
                longestWaitMillis,
                labelCharacters);
    }

    /** What a switch does down and up where nothing is said: the same at every press, if it can. */
    public SwitchMode plainestMode() {
        return modes.contains(SwitchMode.ONE_SHOT) ? SwitchMode.ONE_SHOT : modes.first();
    }

    /** The most messages of one press, of whatever type. */
    public int messagesPerPress() {
        return limit.messages();
    }

    /** What a switch sends that cannot be programmed; empty when it can. */
    public Optional<FactoryMessage> fixed(int bank, int number) {
        return factory.fixed(bank, number, bankChange);
    }

    /**
     * The bank that it shows after a press: of a board that counts the next position, of any other the same.
     *
     * @param bank counted from 1
     */
    public int bankAfter(int bank, int number) {
        return factory.counter().map(steps -> steps.after(bank, number)).orElse(bank);
    }

    /** The row that a switch lies in, counted from 0 at the player's feet. */
    public int row(int number) {
        return (number - 1) / columns;
    }

    /** The column that a switch lies in, counted from 0 at the left. */
    public int column(int number) {
        return (number - 1) % columns;
    }

    /** The switches that a foot hits which lands one too far to the left or right, in that order. */
    public List<Integer> besides(int number) {
        return IntStream.of(number - 1, number + 1)
                .filter(n -> n >= 1 && n <= switches && row(n) == row(number))
                .boxed()
                .toList();
    }
}
