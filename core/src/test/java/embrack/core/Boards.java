package embrack.core;

import embrack.core.gear.Board;
import embrack.core.gear.Model;
import embrack.core.gear.PressLimit;
import embrack.core.gear.Surface;
import embrack.core.gear.library.Library;
import java.util.List;
import java.util.Optional;

/** The four-switch floor board as it does not ship. */
public final class Boards {

    private Boards() {}

    /** With another limit of messages in a press. */
    public static Model withMessagesPerPress(int most) {
        Board board = Library.FOUR_SWITCH_FLOOR_BOARD.board().orElseThrow();
        return Library.FOUR_SWITCH_FLOOR_BOARD.withSurface(
                new Surface(Optional.of(board.withLimit(PressLimit.of(most))), List.of()));
    }
}
