package embrack.paper.type;

/** The fonts that are printed, which ship with Embrack. */
public final class Fonts {

    public static final String PLAIN = "atkinson-hyperlegible-next-400";
    public static final String BOLD = "atkinson-hyperlegible-next-700";
    public static final String FIGURES = "atkinson-hyperlegible-mono-400";

    private Fonts() {}

    /** Where a font lies. */
    public static String path(String font) {
        return "/embrack/paper/fonts/" + font + ".ttf";
    }
}
