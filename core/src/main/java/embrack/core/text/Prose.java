package embrack.core.text;

import java.util.OptionalInt;

/** Text of more than one line that people write: notes, what a guide says, the description of a box. */
public final class Prose {

    private Prose() {}

    /** The first control character in a text, by its code; a line end and a tab are none. */
    public static OptionalInt controlCharacter(String text) {
        return text.chars()
                .filter(c -> Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t')
                .findFirst();
    }

    /**
     * Refuses a text that no page and no file can show.
     *
     * @param what what the text is, to be named: "notes"
     * @throws IllegalArgumentException with a sentence for a person when a control character is in it
     */
    public static void require(String what, String text) {
        controlCharacter(text).ifPresent(c -> {
            throw new IllegalArgumentException(
                    "Leave out control characters; in %s stands one of code %d.".formatted(what, c));
        });
    }

    /**
     * As {@link #require}, for a line that is being read: the whole of it, its comment included.
     *
     * @throws Fault at the column of the control character
     */
    public static void requireLine(String line) {
        controlCharacter(line).ifPresent(c -> {
            throw new Fault(
                    line.indexOf(c) + 1, 1, "Leave out control characters; here stands one of code %d.".formatted(c));
        });
    }
}
