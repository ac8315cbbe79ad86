package embrack.core.gear;

import embrack.core.midi.ProgramCounting;
import embrack.core.midi.ValueDisplay;
import embrack.core.midi.Wire.RunningStatus;
import embrack.core.name.TapeLabel;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * What hands and feet find on a box.
 *
 * @param board its switches, if they are to be pressed in a show
 * @param groups its other controls, as they lie from the back to the front
 * @param pages how a lighting desk reaches slots, where its fixture buttons own runs of them
 */
public record Surface(Optional<Board> board, List<ControlGroup> groups, Optional<DeskPages> pages) {

    /** A box with nothing to press or move. */
    public static final Surface BLANK = new Surface(Optional.empty(), List.of());

    public Surface {
        groups = List.copyOf(groups);
    }

    /** One without fixture buttons. */
    public Surface(Optional<Board> board, List<ControlGroup> groups) {
        this(board, groups, Optional.empty());
    }

    /** A group of controls, and how many of its type lie before it. */
    public record Lying(ControlGroup group, int before) {}

    /** The controls that one of a type lies among; empty when there is none of that number, counted from 1. */
    public Optional<Lying> lying(ControlType type, int number) {
        int before = 0;
        for (ControlGroup group : groups) {
            if (group.type() == type) {
                if (number <= before + group.count()) {
                    return Optional.of(new Lying(group, before));
                }
                before += group.count();
            }
        }
        return Optional.empty();
    }

    /** What is pressed on it: the switches of its board (without a type), then its pads, keys and buttons. */
    public List<Optional<ControlType>> pressed() {
        return Stream.concat(
                        board.<Optional<ControlType>>map(b -> Optional.empty()).stream(),
                        groups.stream()
                                .map(ControlGroup::type)
                                .filter(type -> !type.isSwept())
                                .distinct()
                                .map(Optional::of))
                .toList();
    }

    /**
     * Switches, pads, keys or buttons as a board: what one of them can send, and how many there are. What is said for
     * the board, such as its banks, holds for all of the box.
     *
     * @param of which of them; empty for the switches
     * @param number one of them, counted from 1; where those of a type differ, it is asked about this one
     */
    public Optional<Board> board(Optional<ControlType> of, int number) {
        return of.isEmpty() ? board : lying(of.get(), number).map(lying -> board(of.get(), lying));
    }

    private Board board(ControlType type, Lying lying) {
        ControlGroup group = lying.group();
        int count = groups.stream()
                .filter(other -> other.type() == type)
                .mapToInt(ControlGroup::count)
                .sum();
        return new Board(
                count,
                group.columns(),
                board.map(Board::banks).orElse(List.of(new TapeLabel("A"))),
                board.map(Board::bankChange).orElse(BankChange.ASSIGNMENTS),
                group.sends(),
                PressLimit.of(group.numbers()),
                new TreeSet<>(EnumSet.of(Gesture.PRESS)),
                group.modes(),
                FactoryNumbers.of(group.fixed().stream()
                        .map(run -> run.behind(lying.before()))
                        .toList()),
                board.map(Board::sendChannel).orElse(SendChannel.EACH_MESSAGE),
                board.map(Board::runningStatus).orElse(RunningStatus.NOT_USED),
                board.map(Board::programs).orElse(ProgramCounting.FROM_ONE),
                board.map(Board::display).orElse(ValueDisplay.PLAIN),
                0,
                0);
    }
}
