package embrack.app.switches;

import embrack.core.level.Takeover;
import embrack.core.midi.DataByte;
import embrack.core.switches.Target;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A line in a square of 100 by 100, from the bottom left.
 *
 * @param path for the attribute of an SVG path
 */
record LevelCurve(String path) {

    private static final int SIDE = 100;

    /** What a level does from heel to toe. */
    static LevelCurve of(Target target) {
        return new LevelCurve(IntStream.iterate(0, position -> position <= DataByte.MAX, position -> position + 1)
                .filter(position -> position % 8 == 0 || position == DataByte.MAX)
                .mapToObj(position -> point(
                        position / (double) DataByte.MAX,
                        target.at(position).amount().orElseThrow() / (double) DataByte.MAX))
                .collect(Collectors.joining(" L", "M", "")));
    }

    /** How the value follows a fader that is moved from where it stands to one end. */
    static LevelCurve of(Takeover takeover, Takeover.Position start, double end) {
        List<Double> faders = IntStream.rangeClosed(0, 40)
                .mapToObj(i -> start.fader() + (end - start.fader()) * i / 40.0)
                .toList();
        return new LevelCurve(Stream.concat(Stream.of(start), takeover.moves(start, faders).stream())
                .map(p -> point(p.fader(), p.value()))
                .collect(Collectors.joining(" L", "M", "")));
    }

    private static String point(double x, double y) {
        return String.format(Locale.ROOT, "%.1f %.1f", x * SIDE, SIDE - y * SIDE);
    }
}
