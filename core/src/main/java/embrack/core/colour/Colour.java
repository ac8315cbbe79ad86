package embrack.core.colour;

import embrack.core.text.Spelling;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A colour of light by what people call it: a name, "#3a5fcd" or "x 0.31 y 0.33". How strong it is, is said beside it.
 *
 * @param words as it is called, in small letters
 */
public record Colour(String words, Chromaticity chromaticity) {

    private static final Pattern PLACE = Pattern.compile("x ?(0?\\.\\d{1,4}) ?,? ?y ?(0?\\.\\d{1,4})");

    /**
     * Those that have a name. Whites are those of lamps; red, green and blue are what usual diodes give, so that one of
     * them alone shows each; the others are what a screen shows for them.
     */
    private static final List<Colour> NAMED = List.of(
            new Colour("white", Xyz.WHITE.chromaticity()),
            new Colour("warm", new Chromaticity(0.4476, 0.4074)),
            new Colour("candle", new Chromaticity(0.5269, 0.4133)),
            new Colour("cold white", new Chromaticity(0.2807, 0.2884)),
            new Colour("red", new Chromaticity(0.690, 0.308)),
            named("orange", "#ff6a00"),
            named("amber", "#ff9a00"),
            named("yellow", "#ffd800"),
            named("lime", "#b4ff00"),
            new Colour("green", new Chromaticity(0.170, 0.700)),
            named("sea green", "#00ff88"),
            named("cyan", "#00ffff"),
            named("sky", "#4fb8ff"),
            new Colour("blue", new Chromaticity(0.135, 0.055)),
            named("deep blue", "#1400c8"),
            named("violet", "#7a00ff"),
            named("magenta", "#ff00ff"),
            named("pink", "#ff4fa0"),
            named("rose", "#ff9db8"));

    private static Colour named(String words, String hex) {
        return new Colour(words, Srgb.parse(hex).light().chromaticity());
    }

    /** All that have a name, those of plain lamps first. */
    public static List<Colour> all() {
        return NAMED;
    }

    /**
     * The colour that a person typed.
     *
     * @throws IllegalArgumentException with a sentence for the person when it is none
     */
    public static Colour parse(String typed) {
        String words = typed.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        Matcher place = PLACE.matcher(words);
        if (place.matches()) {
            return new Colour(
                    "x %s y %s".formatted(place.group(1), place.group(2)),
                    new Chromaticity(Double.parseDouble(place.group(1)), Double.parseDouble(place.group(2))));
        }
        if (words.startsWith("#")) {
            Xyz light = Srgb.parse(words).light();
            if (light.y() == 0) {
                throw new IllegalArgumentException("Black is no colour of light; write dark.");
            }
            return new Colour(words, light.chromaticity());
        }
        return find(words)
                .orElseThrow(() -> new IllegalArgumentException("%s is no colour that is known here. %s"
                        .formatted(words.isEmpty() ? "Nothing" : words, near(words))));
    }

    private static Optional<Colour> find(String words) {
        return NAMED.stream().filter(colour -> colour.words.equals(words)).findFirst();
    }

    private static String near(String words) {
        return NAMED.stream()
                .map(Colour::words)
                .filter(name -> Spelling.isNear(words, name))
                .findFirst()
                .map("Is it %s?"::formatted)
                .orElse("Known are %s; or write #3a5fcd, or x 0.31 y 0.33."
                        .formatted(String.join(
                                ", ", NAMED.stream().map(Colour::words).toList())));
    }

    /** The one with a name that looks most like it, CIEDE2000, both as strong. */
    public static Colour nearest(Chromaticity seen) {
        Lab own = Lab.of(seen.brightest());
        return NAMED.stream()
                .min(Comparator.comparingDouble(colour -> {
                    Xyz light = colour.chromaticity.brightest();
                    return Lab.of(light.times(seen.brightest().y() / light.y())).distance(own);
                }))
                .orElseThrow();
    }

    /** How a screen shows it at its strongest: "#3a5fcd". */
    public String hex() {
        return Srgb.from(chromaticity.brightest()).hex();
    }

    @Override
    public String toString() {
        return words;
    }
}
