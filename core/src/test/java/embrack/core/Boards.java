package embrack.core;

import embrack.core.gear.Board;
import embrack.core.gear.Model;
import embrack.core.gear.Surface;
import embrack.core.gear.library.Library;
import java.util.List;
import java.util.Optional;

/** The four-switch floor board as it does not ship. */
public final class Boards {

    private Boards() {}

    /** With another limit of messages in a press. */
    public static Model withMessagesPerPress(int most) {
        Board b = Library.FOUR_SWITCH_FLOOR_BOARD.board().orElseThrow();
        return Library.FOUR_SWITCH_FLOOR_BOARD.withSurface(new Surface(
                Optional.of(new Board(
                        b.switches(),
                        b.columns(),
                        b.banks(),
                        b.bankChange(),
                        b.sends(),
                        most,
                        b.gestures(),
                        b.modes(),
                        b.factoryRun(),
                        b.sendChannel(),
                        b.runningStatus(),
                        b.programs(),
                        b.display(),
                        b.longestWaitMillis(),
                        b.labelCharacters())),
                List.of()));
    }
}
