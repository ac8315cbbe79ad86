package embrack.paper.print;

import java.util.Locale;
import java.util.stream.Stream;

/** What sheets are printed on. */
public enum Paper {
    A4("A4", "210mm 297mm"),
    LETTER("Letter", "8.5in 11in");

    private final String words;
    private final String size;

    Paper(String words, String size) {
        this.words = words;
        this.size = size;
    }

    public String words() {
        return words;
    }

    /** Width and height for the style of a page. */
    public String size() {
        return size;
    }

    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The paper of a key; A4 for one that there is not. */
    public static Paper of(String key) {
        return Stream.of(values())
                .filter(paper -> paper.key().equals(key))
                .findFirst()
                .orElse(A4);
    }
}
