package embrack.core.gear;

import embrack.core.midi.DataByte;
import embrack.core.midi.MessageType;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What switches or controls send that their factory chose: one number each, a switch with value 127 at a press.
 *
 * @param type notes, control changes or program changes
 * @param numbers as sent, 0 to 127; they need not be in sequence
 * @param on which of them send these, in the same order, counted from 1
 */
public record FactoryRun(MessageType type, List<Integer> numbers, List<Integer> on) {

    public FactoryRun {
        numbers = List.copyOf(numbers);
        on = List.copyOf(on);
        numbers.forEach(number -> DataByte.checked("factory number", number));
        if (type != MessageType.NOTE_ON && type != MessageType.CONTROL_CHANGE && type != MessageType.PROGRAM_CHANGE) {
            throw new IllegalArgumentException("a factory run has notes, control changes or program changes");
        }
        if (numbers.isEmpty() || numbers.size() != on.size()) {
            throw new IllegalArgumentException(
                    "a factory run has %d numbers for %d switches".formatted(numbers.size(), on.size()));
        }
        if (new HashSet<>(on).size() < on.size()
                || on.stream().anyMatch(number -> number < 1 || number > ControlGroup.MOST)) {
            throw new IllegalArgumentException("a factory run is on each switch once, counted from 1");
        }
    }

    /** A run that begins at the first switch and leaves out none. */
    public FactoryRun(MessageType type, List<Integer> numbers) {
        this(type, numbers, IntStream.rangeClosed(1, numbers.size()).boxed().toList());
    }

    /**
     * What a switch sends, if it is among these.
     *
     * @param bank counted from 1
     * @param number the switch, counted from 1
     * @param change what a bank changes; where it is the numbers, each bank goes on behind the one before, and begins
     * anew behind 127
     */
    public Optional<FactoryMessage> message(int bank, int number, BankChange change) {
        int index = on.indexOf(number);
        if (index < 0) {
            return Optional.empty();
        }
        int first = numbers.get(index);
        return Optional.of(new FactoryMessage(
                type,
                change == BankChange.NUMBERS ? (first + (bank - 1) * numbers.size()) % (DataByte.MAX + 1) : first));
    }

    /** The same on controls that lie behind others of their type. */
    FactoryRun behind(int others) {
        return new FactoryRun(
                type, numbers, on.stream().map(number -> number + others).toList());
    }

    /** Whether it begins at the first switch and leaves out none. */
    public boolean isOnTheFirst() {
        return IntStream.range(0, on.size()).allMatch(i -> on.get(i) == i + 1);
    }

    /**
     * Where the sequence breaks: the first switch, counted from 1, whose number does not follow on the one before; 0
     * for nowhere.
     */
    public int breaksAt() {
        for (int i = 1; i < numbers.size(); i++) {
            if (numbers.get(i) != numbers.get(i - 1) + 1) {
                return on.get(i);
            }
        }
        return 0;
    }
}
