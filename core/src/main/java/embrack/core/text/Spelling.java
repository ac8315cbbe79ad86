package embrack.core.text;

import java.util.Locale;

/** Finds out whether a word was meant to be another. */
public final class Spelling {

    private Spelling() {}

    /**
     * Whether at most two letters (one in short words) were added, left out, or exchanged. Cost: product of the
     * lengths.
     */
    public static boolean isNear(String typed, String known) {
        int allowed = known.length() < 4 ? 1 : 2;
        return typed.length() > 1
                && Math.abs(typed.length() - known.length()) <= allowed
                && distance(typed.toLowerCase(Locale.ROOT), known) <= allowed;
    }

    /**
     * The edit distance of Levenshtein, "Binary codes capable of correcting deletions, insertions, and reversals",
     * 1966.
     */
    private static int distance(String a, String b) {
        int[] previous = new int[b.length() + 1];
        for (int j = 0; j <= b.length(); j++) {
            previous[j] = j;
        }
        for (int i = 1; i <= a.length(); i++) {
            int[] current = new int[b.length() + 1];
            current[0] = i;
            for (int j = 1; j <= b.length(); j++) {
                int same = previous[j - 1] + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1);
                current[j] = Math.min(same, Math.min(previous[j], current[j - 1]) + 1);
            }
            previous = current;
        }
        return previous[b.length()];
    }
}
