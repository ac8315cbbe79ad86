package embrack.core.name;

import java.util.Objects;

/**
 * A name as written on tape: one line of plain text, 1 to 40 characters, without blanks at its ends, double blanks,
 * control characters, {@code <} or {@code >}.
 *
 * @param text the name
 */
public record TapeLabel(String text) implements Comparable<TapeLabel> {

    /** The longest name; more does not fit on a strip of tape. */
    public static final int MAX_LENGTH = 40;

    public TapeLabel {
        Objects.requireNonNull(text, "text");
        if (text.isBlank()) {
            throw new IllegalArgumentException("Write a name; it is empty.");
        }
        if (text.length() > MAX_LENGTH) {
            throw new IllegalArgumentException(
                    "A name has at most %d characters; this one has %d.".formatted(MAX_LENGTH, text.length()));
        }
        if (text.indexOf('<') >= 0 || text.indexOf('>') >= 0) {
            throw new IllegalArgumentException("Leave out < and >; a name is plain text.");
        }
        if (text.chars().anyMatch(TapeLabel::isUnprintable)) {
            throw new IllegalArgumentException("Leave out control characters; a name is one line of plain text.");
        }
        if (!text.equals(tidy(text))) {
            throw new IllegalArgumentException("A name has no blanks at its ends and no double blanks.");
        }
    }

    /**
     * The label that a person typed; blanks are tidied first.
     *
     * @throws IllegalArgumentException with a sentence for the person when it cannot be a name
     */
    public static TapeLabel parse(String typed) {
        return new TapeLabel(tidy(typed));
    }

    /** Whether both would be read as the same name, whatever their capitals. */
    public boolean sameAs(TapeLabel other) {
        return text.equalsIgnoreCase(other.text);
    }

    @Override
    public int compareTo(TapeLabel other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }

    private static String tidy(String typed) {
        String stripped = typed.strip();
        boolean tidy = stripped.indexOf("  ") < 0 && stripped.indexOf('\t') < 0 && stripped.indexOf('\u00A0') < 0;
        return tidy ? stripped : stripped.replaceAll("[ \\t\\u00A0]+", " ");
    }

    private static boolean isUnprintable(int character) {
        return Character.isISOControl(character)
                || Character.getType(character) == Character.FORMAT
                || Character.getType(character) == Character.LINE_SEPARATOR
                || Character.getType(character) == Character.PARAGRAPH_SEPARATOR;
    }
}
