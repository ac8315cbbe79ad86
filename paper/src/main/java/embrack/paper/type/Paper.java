package embrack.paper.type;

import java.util.Locale;
import java.util.stream.Stream;

/** What is printed on. */
public enum Paper {
    A4("A4", 210 * Setting.MM, 297 * Setting.MM),
    LETTER("Letter", 8.5 * 72, 11 * 72);

    private final String words;
    private final double width;
    private final double height;

    Paper(String words, double width, double height) {
        this.words = words;
        this.width = width;
        this.height = height;
    }

    public String words() {
        return words;
    }

    /** Upright, in points. */
    public double width() {
        return width;
    }

    /** Upright, in points. */
    public double height() {
        return height;
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
