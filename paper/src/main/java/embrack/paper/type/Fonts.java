package embrack.paper.type;

import java.util.Map;

/** The fonts that are printed, which ship with Embrack. */
public final class Fonts {

    public static final String PLAIN = "atkinson-hyperlegible-next-400";
    public static final String BOLD = "atkinson-hyperlegible-next-700";
    public static final String FIGURES = "atkinson-hyperlegible-mono-400";

    /** Fonts for letters that the others lack, by their family. */
    public static final Map<String, String> MORE = Map.of(
            "NextExt", "atkinson-hyperlegible-next-ext",
            "Hebrew", "noto-sans-hebrew",
            "Arabic", "noto-sans-arabic",
            "Greek", "noto-sans-greek",
            "Cyrillic", "noto-sans-cyrillic");

    /** The signs of music that keys are written with; in one weight. */
    public static final String MUSIC = "noto-music-400";

    private Fonts() {}

    /** Where a font lies. */
    public static String path(String font) {
        return "/embrack/paper/fonts/" + font + ".ttf";
    }
}
