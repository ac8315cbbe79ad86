package embrack.core.name;

import java.text.Normalizer;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * The form of every identifier inside a plan: 1 to 40 lower-case letters, digits and hyphens, a letter or digit first.
 */
public final class Slug {

    /** The form as a regular expression, as the published schema states it. */
    public static final String PATTERN = "[a-z0-9][a-z0-9-]{0,39}";

    private static final int MAX_LENGTH = 40;
    private static final Pattern FORM = Pattern.compile(PATTERN);
    private static final Pattern MARKS = Pattern.compile("\\p{M}+");

    /** Room for a hyphen and four digits. */
    private static final int NUMBERED = 5;

    private Slug() {}

    /**
     * The text itself, if it has the form of an identifier.
     *
     * @throws IllegalArgumentException otherwise, naming what it identifies and the text
     */
    public static String checked(String what, String text) {
        if (!FORM.matcher(text).matches()) {
            throw new IllegalArgumentException("%s must be 1 to 40 lower-case letters, digits and hyphens, was \"%s\""
                    .formatted(what, clipped(text)));
        }
        return text;
    }

    /**
     * The identifier that a name gets: "Return 1" is {@code return-1}. Letters lose their accents; characters that are
     * neither letters of the alphabet nor digits become hyphens, or their number where nothing else would be left.
     */
    public static String of(String name) {
        String plain = isAscii(name)
                ? name.toLowerCase(Locale.ROOT)
                : MARKS.matcher(Normalizer.normalize(name, Normalizer.Form.NFD))
                        .replaceAll("")
                        .toLowerCase(Locale.ROOT);
        var slug = new StringBuilder();
        plain.codePoints().forEach(c -> {
            if (c >= 'a' && c <= 'z' || c >= '0' && c <= '9') {
                slug.appendCodePoint(c);
            } else if (Character.isLetterOrDigit(c)) {
                slug.append('u').append(Integer.toHexString(c));
            } else if (c == '#' || c == '\u266F') {
                slug.append(slug.isEmpty() ? "sharp" : "-sharp");
            } else if (!slug.isEmpty() && slug.charAt(slug.length() - 1) != '-') {
                slug.append('-');
            }
        });
        while (!slug.isEmpty() && slug.charAt(slug.length() - 1) == '-') {
            slug.setLength(slug.length() - 1);
        }
        String whole = slug.toString();
        if (whole.isEmpty()) {
            whole = "u" + Integer.toHexString(name.codePointAt(0));
        }
        if (whole.length() > MAX_LENGTH) {
            String tail = Integer.toHexString(whole.hashCode());
            whole = whole.substring(0, MAX_LENGTH - tail.length() - 1) + "-" + tail;
        }
        return whole;
    }

    /**
     * The identifier that a name gets where none may be given twice: with the lowest number behind it, from 2, that is
     * free.
     */
    public static String free(String name, Predicate<String> isFree) {
        String wish = of(name);
        String stem = wish.substring(0, Math.min(wish.length(), MAX_LENGTH - NUMBERED));
        return IntStream.iterate(1, n -> n + 1)
                .mapToObj(n -> n == 1 ? wish : stem + "-" + n)
                .filter(isFree)
                .findFirst()
                .orElseThrow();
    }

    private static boolean isAscii(String text) {
        return text.chars().allMatch(c -> c < 128);
    }

    private static String clipped(String text) {
        return text.length() <= 60 ? text : text.substring(0, 60) + "...";
    }
}
