package embrack.core.light;

import embrack.core.colour.Colour;
import java.util.Optional;

/**
 * Values of the slot of fixed colours, and what they give.
 *
 * @param colour empty for none: the other slots decide
 */
public record FixedColour(Stretch values, Optional<Colour> colour) {

    public String words() {
        return colour.map(Colour::words).orElse("none");
    }
}
