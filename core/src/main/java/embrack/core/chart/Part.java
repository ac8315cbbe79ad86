package embrack.core.chart;

import embrack.core.name.Slug;
import embrack.core.name.TapeLabel;
import java.util.regex.Pattern;

/**
 * A part of a box whose state can change, such as one strip of a mixer or one scene of a desk.
 *
 * @param name as printed on the box: "Return 1"
 * @param family what its siblings share: "Return"; of the scenes of a family one is chosen at a time
 */
public record Part(PartId id, TapeLabel name, String family) {

    private static final Pattern LAST_NUMBER = Pattern.compile("\\s*\\d+$");

    /** A part of a family that its name does not show: "Pad C" of the family "Pad". */
    public static Part of(TapeLabel name, String family) {
        return new Part(new PartId(Slug.of(name.text())), name, family);
    }

    /** A part whose family is its name without the number at its end. */
    public static Part of(TapeLabel name) {
        return of(name, familyOf(name.text()));
    }

    static String familyOf(String name) {
        String stem = LAST_NUMBER.matcher(name).replaceFirst("");
        return stem.isEmpty() ? name : stem;
    }
}
