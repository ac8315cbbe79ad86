package embrack.core.switches;

import embrack.core.name.TapeLabel;

/** Shortens what is written on tape so that it fits the display of a box. */
public final class ShortForm {

    private static final String VOWELS = "aeiouAEIOU";

    private ShortForm() {}

    /**
     * The label in at most so many characters: vowels inside words go first, from the end; then blanks; then the end.
     *
     * @param characters how many the display shows, at least 1
     */
    public static String of(TapeLabel label, int characters) {
        var text = new StringBuilder(label.text());
        for (int i = text.length() - 1; i > 0 && text.length() > characters; i--) {
            if (VOWELS.indexOf(text.charAt(i)) >= 0 && text.charAt(i - 1) != ' ') {
                text.deleteCharAt(i);
            }
        }
        for (int i = text.length() - 1; i > 0 && text.length() > characters; i--) {
            if (text.charAt(i) == ' ') {
                text.deleteCharAt(i);
            }
        }
        return text.substring(0, Math.min(text.length(), characters)).strip();
    }
}
