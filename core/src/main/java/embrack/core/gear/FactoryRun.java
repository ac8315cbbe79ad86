package embrack.core.gear;

import embrack.core.midi.DataByte;
import embrack.core.midi.MessageType;
import java.util.List;

/**
 * What the switches of a board send that cannot be programmed: one number each, with value 127 at a press.
 *
 * @param type notes, control changes or program changes
 * @param numbers as sent, 0 to 127, one for each switch of a bank; they need not be in sequence
 */
public record FactoryRun(MessageType type, List<Integer> numbers) {

    public FactoryRun {
        numbers = List.copyOf(numbers);
        numbers.forEach(number -> DataByte.checked("factory number", number));
    }

    /**
     * What a switch sends.
     *
     * @param bank counted from 1
     * @param number the switch, counted from 1
     * @param change what a bank changes; where it is the numbers, each bank goes on behind the one before, and begins
     * anew behind 127
     */
    public int number(int bank, int number, BankChange change) {
        int first = numbers.get(number - 1);
        return change == BankChange.NUMBERS ? (first + (bank - 1) * numbers.size()) % (DataByte.MAX + 1) : first;
    }

    /**
     * Where the sequence breaks: the first switch, counted from 1, whose number does not follow on the one before; 0
     * for nowhere.
     */
    public int breaksAt() {
        for (int i = 1; i < numbers.size(); i++) {
            if (numbers.get(i) != numbers.get(i - 1) + 1) {
                return i + 1;
            }
        }
        return 0;
    }
}
