package embrack.core.light;

import embrack.core.colour.Colour;
import embrack.core.name.TapeLabel;
import java.util.List;
import java.util.Optional;

/**
 * What the fixtures show, in words. What no line is about is dark; of two lines about one fixture the later counts.
 *
 * @param lines in the order in which they are read
 * @param fadeMillis how long it takes to come in, 0 to 600 000 ms; 0 at once
 */
public record Look(LookId id, TapeLabel name, List<Line> lines, int fadeMillis) {

    /** Stands for every fixture. */
    public static final TapeLabel ALL = new TapeLabel("all");

    /** The longest time in which a look comes in, ms. */
    public static final int LONGEST_FADE = 600_000;

    private static final int MAX_LINES = 200;

    public Look {
        lines = List.copyOf(lines);
        if (lines.size() > MAX_LINES) {
            throw new IllegalArgumentException("A look has at most %d lines.".formatted(MAX_LINES));
        }
        if (fadeMillis < 0 || fadeMillis > LONGEST_FADE) {
            throw new IllegalArgumentException(
                    "A look comes in within 0 to 600 s, not %s s.".formatted(fadeMillis / 1000.0));
        }
    }

    /**
     * What some fixtures show.
     *
     * @param who a fixture, a group, or all
     * @param colours one for all of them; of several each takes the next in turn; none for all that the lamp gives
     * @param percent how bright, 0 to 100; 0 is dark
     * @param flashes how often they flash a second; empty for steady light
     */
    public record Line(TapeLabel who, List<Colour> colours, int percent, Optional<Double> flashes) {

        public Line {
            colours = List.copyOf(colours);
            if (percent < 0 || percent > 100) {
                throw new IllegalArgumentException("Write how bright in percent, 0 to 100, not " + percent + ".");
            }
            if (flashes.filter(rate -> !(rate > 0 && rate <= 50)).isPresent()) {
                throw new IllegalArgumentException(
                        "Lamps flash up to 50 times a second, and not never: " + flashes.get());
            }
        }

        /** The same of others. */
        Line about(TapeLabel others) {
            return new Line(others, colours, percent, flashes);
        }

        public boolean isDark() {
            return percent == 0;
        }
    }

    public Look withName(TapeLabel other) {
        return new Look(id, other, lines, fadeMillis);
    }

    public Look withFade(int millis) {
        return new Look(id, name, lines, millis);
    }

    public Look withLines(List<Line> others) {
        return new Look(id, name, others, fadeMillis);
    }
}
