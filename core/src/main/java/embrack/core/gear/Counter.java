package embrack.core.gear;

import embrack.core.midi.DataByte;
import embrack.core.midi.MessageType;
import embrack.core.midi.ProgramCounting;
import embrack.core.name.TapeLabel;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Two switches that step through programs, down and up, from where the board itself stands: it does not know what
 * another board sent meanwhile. Its positions are the banks of the board, since the same switch sends something else at
 * each. It stands at the first when it is switched on, and has sent nothing then.
 *
 * @param down the switch that goes a step back, counted from 1
 * @param up the switch that goes a step on, counted from 1
 * @param first the program of the first position, as sent, 0 to 127
 * @param last the program of the last position, as sent, above {@code first}
 * @param round whether the first follows on the last; otherwise the last is sent again
 */
public record Counter(int down, int up, int first, int last, boolean round) {

    public Counter {
        DataByte.checked("the first program of a counter", first);
        DataByte.checked("the last program of a counter", last);
        if (last <= first) {
            throw new IllegalArgumentException(
                    "a counter goes on from program %d, and not to %d".formatted(first, last));
        }
        if (down == up || down < 1 || up < 1 || down > ControlGroup.MOST || up > ControlGroup.MOST) {
            throw new IllegalArgumentException(
                    "a counter has a switch for down and another for up, were %d and %d".formatted(down, up));
        }
    }

    /** How many positions it has. */
    public int positions() {
        return last - first + 1;
    }

    /** The positions as a box shows them that counts programs so. */
    public List<TapeLabel> shown(ProgramCounting programs) {
        return IntStream.rangeClosed(first, last)
                .mapToObj(program -> new TapeLabel(String.valueOf(program + programs.first())))
                .toList();
    }

    /** Whether a switch is one of its two. */
    public boolean has(int number) {
        return number == down || number == up;
    }

    /**
     * Where it stands after a press.
     *
     * @param position where it stood, counted from 1
     * @param number the switch; any but the two leaves it where it is
     */
    public int after(int position, int number) {
        int to = position + (number == up ? 1 : number == down ? -1 : 0);
        return round ? Math.floorMod(to - 1, positions()) + 1 : Math.clamp(to, 1, positions());
    }

    /** What a press sends at a position; empty for any but its two switches. */
    public Optional<FactoryMessage> message(int position, int number) {
        return has(number)
                ? Optional.of(new FactoryMessage(MessageType.PROGRAM_CHANGE, program(after(position, number))))
                : Optional.empty();
    }

    /** The program of a position counted from 1, as sent. */
    public int program(int position) {
        return first + position - 1;
    }

    /**
     * The presses from one position to another.
     *
     * @return above 0 for so many up, below for so many down, whichever are fewer
     */
    public int presses(int from, int to) {
        int straight = to - from;
        int other = straight > 0 ? straight - positions() : straight + positions();
        return round && Math.abs(other) < Math.abs(straight) ? other : straight;
    }
}
