package embrack.core.light;

import embrack.core.colour.Emitter;
import embrack.core.name.TapeLabel;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A kind of fixture: what it is, what gives light in it, and how it reads its slots.
 *
 * @param emitters what gives light, by the use of the slot that would drive it
 * @param modes at least one
 * @param colours what the slot of fixed colours gives
 * @param flickers what the strobe slot does
 */
public record FixtureType(
        FixtureTypeId id,
        TapeLabel name,
        Shape shape,
        Map<Use, Emitter> emitters,
        List<Mode> modes,
        List<FixedColour> colours,
        List<Flicker> flickers,
        Body body) {

    public FixtureType {
        var sorted = new EnumMap<Use, Emitter>(Use.class);
        sorted.putAll(emitters);
        emitters = Collections.unmodifiableMap(sorted);
        modes = List.copyOf(modes);
        colours = List.copyOf(colours);
        flickers = List.copyOf(flickers);
        if (modes.isEmpty()) {
            throw new IllegalArgumentException("A fixture has at least one mode: mode 3 slots: red, green, blue.");
        }
        if (modes.stream().map(Mode::name).distinct().count() < modes.size()) {
            throw new IllegalArgumentException("Two modes of a fixture have different names.");
        }
        if (colours.isEmpty() && modes.stream().anyMatch(mode -> mode.has(Use.COLOURS))) {
            throw new IllegalArgumentException(
                    "A slot of colours needs a line that says which: colours: 0..9 none, 10..255 red.");
        }
    }

    public Optional<Mode> mode(TapeLabel wanted) {
        return modes.stream().filter(mode -> mode.name().sameAs(wanted)).findFirst();
    }

    /** Whether it gives light at all. */
    public boolean isLamp() {
        return !emitters.isEmpty();
    }
}
