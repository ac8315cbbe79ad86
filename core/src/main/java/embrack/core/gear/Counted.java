package embrack.core.gear;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.midi.Message;

/** What a receiver calls that for which a board shows a number of its own. */
public final class Counted {

    private Counted() {}

    /**
     * Where the receiver shows what an action does, and what it calls the program where the board counts otherwise, in
     * brackets behind a blank: " (bank 3, patch 2; PC 25 there)"; empty when both say the same.
     */
    public static String words(Board board, Chart chart, Action action, Message message) {
        String at = chart.shownAt(action).orElse("");
        String counted = message instanceof Message.ProgramChange change
                        && chart.conventions()
                                .programs()
                                .filter(theirs -> theirs != board.programs())
                                .isPresent()
                ? "PC %d there".formatted(chart.conventions().shownPrograms().shown(change.program()))
                : "";
        String both = at + (at.isEmpty() || counted.isEmpty() ? "" : "; ") + counted;
        return both.isEmpty() ? "" : " (%s)".formatted(both);
    }
}
