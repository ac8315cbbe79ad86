package embrack.core.gear;

import embrack.core.midi.MessageType;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.ValueDisplay;
import embrack.core.midi.Wire.RunningStatus;
import java.util.Collections;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * The switches of a box that is pressed, and what they can send.
 *
 * @param switches switches in a bank, 1 to 32
 * @param columns switches in a row as they lie on the box, 1 to {@code switches}
 * @param banks the banks by the names that the box shows, at least one
 * @param sends message types that a switch can send, at least one
 * @param messagesPerPress most messages that one press can send, 1 or more
 * @param programs what the box calls the first program
 * @param display how the box shows values while it is programmed
 */
public record Board(int switches, int columns, List<TapeLabel> banks, SortedSet<MessageType> sends, int messagesPerPress,
        SendChannel sendChannel, RunningStatus runningStatus, ProgramCounting programs, ValueDisplay display) {

    public Board {
        banks = List.copyOf(banks);
        sends = Collections.unmodifiableSortedSet(new TreeSet<>(sends));
        if (switches < 1 || switches > 32) {
            throw new IllegalArgumentException("a board has 1 to 32 switches in a bank, was " + switches);
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
        sends.forEach(MessageTemplate::requireChartType);
        if (messagesPerPress < 1 || messagesPerPress > 128) {
            throw new IllegalArgumentException("a press sends 1 to 128 messages at most, was " + messagesPerPress);
        }
    }

    /** The types it can send in a sentence: "control changes and notes". */
    public String sendsWords() {
        return Words.list(sends.stream().map(MessageType::plural).toList());
    }
}
