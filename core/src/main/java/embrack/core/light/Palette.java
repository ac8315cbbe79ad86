package embrack.core.light;

import embrack.core.colour.Srgb;
import embrack.core.colour.Xyz;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** The colours of a look, as a screen shows them. */
public final class Palette {

    /** What is dark. */
    public static final String DARK = "#201d18";

    private Palette() {}

    /** Each colour once, in the order of the fixtures, at most so many: "#3a5fcd". */
    public static List<String> of(Lights lights, Look look, int most) {
        Set<String> colours = new LinkedHashSet<>();
        lights.shown(look).forEach(output -> colours.add(hex(output.light())));
        return colours.stream().limit(most).toList();
    }

    /** How a screen shows the colour of a light at its strongest; what lies outside of it is cut off. */
    public static String hex(Xyz light) {
        return light.y() <= 0
                ? DARK
                : Srgb.from(light.chromaticity().brightest()).hex();
    }
}
