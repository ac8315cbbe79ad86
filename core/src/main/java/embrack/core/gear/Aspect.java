package embrack.core.gear;

import java.util.List;

/** What can differ about a part, as a number from 0 up to one less than the number of its words. */
public enum Aspect {
    MUTED("open", "muted");

    private final List<String> words;

    Aspect(String... words) {
        this.words = List.of(words);
    }

    /** How many values there are; values run from 0 to one less. */
    public int size() {
        return words.size();
    }

    /** A value in a word: "open", "muted". */
    public String word(int value) {
        return words.get(value);
    }
}
