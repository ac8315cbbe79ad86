package embrack.core.gear;

import java.util.List;
import java.util.Optional;

/**
 * What hands and feet find on a box.
 *
 * @param board its switches, if they are to be pressed in a show
 * @param groups its other controls, as they lie from the back to the front
 */
public record Surface(Optional<Board> board, List<ControlGroup> groups) {

    /** A box with nothing to press or move. */
    public static final Surface BLANK = new Surface(Optional.empty(), List.of());

    public Surface {
        groups = List.copyOf(groups);
    }
}
