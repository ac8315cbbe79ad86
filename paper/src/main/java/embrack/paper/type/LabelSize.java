package embrack.paper.type;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How large labels are that are cut out and stuck on cables.
 *
 * @param width mm, 20 to 100
 * @param height mm, 8 to 60
 */
public record LabelSize(int width, int height) {

    /** What most label sheets for cables have; common practice, no source. */
    public static final LabelSize USUAL = new LabelSize(38, 13);

    /** The size of the type, from one line to the next, points; what stays free above and beside the words, mm. */
    private static final double TYPE = 7.4;

    private static final double LEADING = 8.4;
    private static final double ABOVE = 1;
    private static final double ASIDE = 1.5;

    private static final Pattern WORDS = Pattern.compile("\\s*(\\d{1,3})\\s*[x\u00D7*]\\s*(\\d{1,3})\\s*(?:mm)?\\s*");

    public LabelSize {
        if (width < 20 || width > 100 || height < 8 || height > 60) {
            throw new IllegalArgumentException(
                    "Labels are 20 to 100 mm wide and 8 to 60 mm high, as in \"38 x 13\"; this is %d x %d."
                            .formatted(width, height));
        }
    }

    /**
     * A size in words: {@code 38 x 13}; the usual one for none.
     *
     * @throws IllegalArgumentException when it is none, or too small or large
     */
    public static LabelSize of(String words) {
        if (words.isBlank()) {
            return USUAL;
        }
        Matcher found = WORDS.matcher(words);
        if (!found.matches()) {
            throw new IllegalArgumentException(
                    "Say how wide and how high labels are, in millimetres, as in \"38 x 13\".");
        }
        return new LabelSize(Integer.parseInt(found.group(1)), Integer.parseInt(found.group(2)));
    }

    /** Whether a text goes onto it. */
    public boolean holds(String text) {
        return Ruler.PLAIN.lines(text, TYPE, (width - 2 * ASIDE - 0.5) * Setting.MM) * LEADING
                <= (height - 2 * ABOVE) * Setting.MM;
    }

    /** For a style sheet: how words stand on a label. */
    public static String style() {
        return String.format(
                Locale.ROOT,
                ".label{font-size:%.1fpt;line-height:%.1fpt}%n.label .in{padding:%.1fmm %.1fmm}%n",
                TYPE,
                LEADING,
                ABOVE,
                ASIDE);
    }

    /** In words that {@link #of} reads. */
    public String words() {
        return "%d \u00D7 %d".formatted(width, height);
    }
}
