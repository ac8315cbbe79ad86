package embrack.app.store;

import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * One row of the history of a rig, without its document. Rows are only ever added; undo and redo add one too, with the
 * document of an older row. Each row knows where undo and redo lead from it, so the two stacks outlive a restart.
 *
 * @param n counted from 1 within the rig
 * @param author who made it
 * @param at when; null until it is stored
 * @param summary what the edit did, in words
 * @param intent what was meant, as the edit says it, shortened
 * @param undoTo the row whose document undo brings back; null when nothing can be undone
 * @param redoTo the row whose document redo brings back; null when nothing can be redone
 */
record Revision(
        int n,
        String author,
        @Nullable OffsetDateTime at,
        String summary,
        String intent,
        @Nullable Integer undoTo,
        @Nullable Integer redoTo) {

    private static final int MAX_WORDS = 300;
    private static final String TAKE_BACK = "take back ";
    private static final Pattern AGAIN = Pattern.compile("(undo|redo) (\\d{1,9})");

    Revision {
        summary = shortened(summary);
        intent = shortened(intent);
    }

    static Revision first(String author, String summary) {
        return new Revision(1, author, null, summary, "create", null, null);
    }

    /** The row that an edit adds; what was undone before is then out of reach. */
    Revision edited(String who, String what, String meant) {
        return new Revision(n + 1, who, null, what, meant, n, null);
    }

    /** The row that undo adds: the document and the past of the row that it goes back to, this row as its future. */
    Revision undone(String who, Revision earlier) {
        return new Revision(n + 1, who, null, earlier.summary(), "undo " + n, earlier.undoTo(), n);
    }

    /** The row that takes back what an earlier one did, although others follow it. */
    Revision takenBack(String who, Revision mine) {
        return new Revision(n + 1, who, null, "Take back: " + mine.summary(), TAKE_BACK + mine.n(), n, null);
    }

    /** The number of the row whose edit this one takes back. */
    Optional<Integer> takesBack() {
        return intent.startsWith(TAKE_BACK)
                ? Optional.of(Integer.valueOf(intent.substring(TAKE_BACK.length())))
                : Optional.empty();
    }

    /** The number of the row that this one undid or made again. */
    Optional<Integer> again(String sort) {
        Matcher found = AGAIN.matcher(intent);
        return found.matches() && found.group(1).equals(sort)
                ? Optional.of(Integer.valueOf(found.group(2)))
                : Optional.empty();
    }

    /** The row that redo adds: the document and the future of the row that it goes on to, this row as its past. */
    Revision redone(String who, Revision later) {
        return new Revision(n + 1, who, null, later.summary(), "redo " + later.n(), n, later.redoTo());
    }

    /** The row that brings an earlier one back although it lies behind no undo. */
    Revision broughtBack(String who, Revision earlier) {
        return new Revision(
                n + 1,
                who,
                null,
                "Bring back revision " + earlier.n(),
                "bring back " + earlier.n(),
                earlier.undoTo(),
                null);
    }

    private static String shortened(String words) {
        return words.length() <= MAX_WORDS ? words : words.substring(0, MAX_WORDS - 3) + "...";
    }
}
