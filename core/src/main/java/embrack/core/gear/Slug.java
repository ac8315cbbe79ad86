package embrack.core.gear;

import java.util.regex.Pattern;

/** The form of every identifier inside a plan: 1 to 40 lower-case letters, digits and hyphens, a letter or digit first. */
public final class Slug {

    /** The form as a regular expression, as the published schema states it. */
    public static final String PATTERN = "[a-z0-9][a-z0-9-]{0,39}";

    private static final Pattern FORM = Pattern.compile(PATTERN);

    private Slug() {
    }

    /**
     * The text itself, if it has the form of an identifier.
     *
     * @throws IllegalArgumentException otherwise, naming what it identifies and the text
     */
    public static String checked(String what, String text) {
        if (!FORM.matcher(text).matches()) {
            throw new IllegalArgumentException(
                    "%s must be 1 to 40 lower-case letters, digits and hyphens, was \"%s\"".formatted(what, clipped(text)));
        }
        return text;
    }

    private static String clipped(String text) {
        return text.length() <= 60 ? text : text.substring(0, 60) + "...";
    }
}
