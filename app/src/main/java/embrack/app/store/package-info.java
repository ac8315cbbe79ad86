/** Rigs in the database: documents with append-only revisions, edits, undo and redo. */
@NullMarked
package embrack.app.store;

import org.jspecify.annotations.NullMarked;
