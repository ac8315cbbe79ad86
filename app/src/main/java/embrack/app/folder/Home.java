package embrack.app.folder;

import embrack.core.name.Words;
import java.util.List;

/**
 * What came of ticks that were made elsewhere.
 *
 * @param taken how many count now that did not before
 * @param known how many say what is so already
 * @param older keys of lines that stand otherwise here, since somebody said so later
 * @param unknown how many are of lines that are on no sheet any more
 */
record Home(int taken, int known, List<String> older, int unknown) {

    /** So many lines are named at most. */
    private static final int NAMED = 12;

    Home {
        older = List.copyOf(older);
    }

    /** The same, with as many lines named as an address holds. */
    Home brief() {
        return new Home(taken, known, older.subList(0, Math.min(NAMED, older.size())), unknown);
    }

    /**
     * In words.
     *
     * @param lines what the lines say of which something newer is here
     */
    String words(List<String> lines) {
        return "%s came home.".formatted(Words.count(taken, "tick"))
                + (known == 0 ? "" : " %s here already.".formatted(was(known)))
                + (lines.isEmpty()
                        ? ""
                        : " Somebody said otherwise here later, and that stays: %s".formatted(String.join(" ", lines)))
                + (unknown == 0 ? "" : " %s about lines that are on no sheet any more.".formatted(was(unknown)));
    }

    private static String was(int count) {
        return "%d %s".formatted(count, count == 1 ? "was" : "were");
    }
}
