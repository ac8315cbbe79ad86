package embrack.app.store;

import embrack.core.plan.Plan;
import org.jspecify.annotations.Nullable;

/**
 * One row of the history of a rig. Rows are only ever added; undo and redo add one too, with the document of an older
 * row. Each row knows where undo and redo lead from it, so the two stacks outlive a restart.
 *
 * @param n counted from 1 within the rig
 * @param summary what the edit did, in words
 * @param undoTo the row whose document undo brings back; null when nothing can be undone
 * @param redoTo the row whose document redo brings back; null when nothing can be redone
 */
record Revision(int n, Plan doc, String summary, @Nullable Integer undoTo, @Nullable Integer redoTo) {

    /** The first row of a rig. */
    static Revision first(Plan doc, String summary) {
        return new Revision(1, doc, summary, null, null);
    }

    /** The row that an edit adds on top of this one; it cannot be redone past. */
    Revision edited(Plan changed, String what) {
        return new Revision(n + 1, changed, what, n, null);
    }

    /** The row that undo adds: the document and the past of the row that it goes back to, this row as its future. */
    Revision undone(Revision earlier) {
        return new Revision(n + 1, earlier.doc(), earlier.summary(), earlier.undoTo(), n);
    }

    /** The row that redo adds: the document and the future of the row that it goes on to, this row as its past. */
    Revision redone(Revision later) {
        return new Revision(n + 1, later.doc(), later.summary(), n, later.redoTo());
    }
}
