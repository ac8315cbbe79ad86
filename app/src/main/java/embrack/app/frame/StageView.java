package embrack.app.frame;

import embrack.core.colour.Colour;
import embrack.core.colour.Lab;
import embrack.core.colour.Xyz;
import embrack.core.light.Fixture;
import embrack.core.light.FixtureType;
import embrack.core.light.Hang;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.light.Output;
import embrack.core.light.Palette;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The stage as a sketch, from the house: what hangs, and the beams of a moment.
 *
 * @param lamps those at the back first, as they are drawn
 * @param bars how high each row hangs in the drawing
 * @param isEmpty whether nothing hangs
 */
public record StageView(List<Beam> lamps, List<String> bars, boolean isEmpty) {

    private static final double WIDTH = 1000;
    private static final double FLOOR = 360;
    private static final double TOP = 46;
    private static final double HOOK = 16;

    /** Units of the drawing for a centimetre of height, and for one of depth on high and on the boards. */
    private static final double UP = 0.45;

    private static final double BACK = 0.27;
    private static final double BOARDS_BACK = 0.08;
    private static final double NARROW = 14;
    private static final double MOST_SPREAD = 150;

    /**
     * A lamp and its beam, in units of the drawing, 1000 wide.
     *
     * @param beam corners of the beam, as a polygon; empty where it is dark
     * @param hex how its colour is shown; what lies outside a screen is cut off
     * @param strength how strongly it is drawn, 0 to 1
     * @param words what it shows, for ears: "Bar 1: blue, 60 %"
     * @param level how bright in percent, as a look asks for it; empty for a dark one, and where nobody asked
     * @param deep centimetres behind the edge of the stage
     * @param hangs how high the bar is drawn from which it hangs
     * @param floor how high the boards are drawn that it lights
     * @param mark how often it flashes a second; empty for steady light, which a picture never flashes with
     */
    public record Beam(
            String id,
            String name,
            String address,
            String shape,
            String x,
            String y,
            String beam,
            String pool,
            String hex,
            String strength,
            String words,
            String level,
            int deep,
            String hangs,
            String floor,
            String mark) {}

    public static StageView of(Lights lights, Optional<Look> look) {
        return of(
                lights,
                look.map(lights::shown).orElse(List.of()),
                look.map(lights::strengths).orElse(List.of()));
    }

    /** What fixtures show, in their order; empty where nobody knows. */
    public static StageView of(Lights lights, List<Output> shown) {
        return of(lights, shown, List.of());
    }

    private static StageView of(Lights lights, List<Output> shown, List<Integer> strengths) {
        List<Beam> lamps = new ArrayList<>();
        double widest = lights.fixtures().stream()
                .mapToDouble(fixture -> Math.abs(fixture.hang().across()))
                .max()
                .orElse(0);
        for (int i = 0; i < lights.fixtures().size(); i++) {
            Fixture fixture = lights.fixtures().get(i);
            Optional<Output> output = shown.isEmpty() ? Optional.empty() : Optional.of(shown.get(i));
            String level = strengths.isEmpty() || strengths.get(i) == 0 ? "" : String.valueOf(strengths.get(i));
            lamps.add(beam(fixture, lights.type(fixture), output, level, Math.max(500, widest * 1.15)));
        }
        lamps.sort(Comparator.comparingInt((Beam beam) -> -beam.deep));
        return new StageView(lamps, lamps.stream().map(Beam::hangs).distinct().toList(), lamps.isEmpty());
    }

    private static Beam beam(
            Fixture fixture, FixtureType type, Optional<Output> output, String level, double halfWidth) {
        Hang hang = fixture.hang();
        double x = WIDTH / 2 + hang.across() / halfWidth * (WIDTH / 2 - 40);
        double y = Math.max(TOP, FLOOR - hang.high() * UP - hang.deep() * BACK);
        double floor = FLOOR - Math.max(0, hang.deep()) * BOARDS_BACK;
        double half = Math.min(
                MOST_SPREAD,
                (floor - y) * Math.tan(Math.toRadians(Math.min(120, type.body().beamDegrees()) / 2.0)));
        Xyz light = output.map(Output::light).orElse(Xyz.DARK);
        boolean isLit = light.y() > 0;
        return new Beam(
                fixture.id().text(),
                fixture.name().text(),
                fixture.at().map(Object::toString).orElse("no address"),
                type.shape().words(),
                number(x),
                number(y),
                isLit
                        ? "%s,%s %s,%s %s,%s %s,%s"
                                .formatted(
                                        number(x - NARROW / 2),
                                        number(y + NARROW),
                                        number(x + NARROW / 2),
                                        number(y + NARROW),
                                        number(x + half),
                                        number(floor),
                                        number(x - half),
                                        number(floor))
                        : "",
                number(half),
                Palette.hex(light),
                number(strength(light)),
                "%s: %s"
                        .formatted(
                                fixture.name(),
                                output.map(shown -> words(shown, level)).orElse("nothing chosen")),
                level,
                hang.deep(),
                number(y - HOOK),
                number(floor),
                output.map(Output::flashes)
                        .filter(rate -> rate > 0)
                        .map(rate -> "%s a second".formatted(number(rate)))
                        .orElse(""));
    }

    /** How strongly an eye sees it beside full, 0 to 1. */
    private static double strength(Xyz light) {
        Xyz full = light.chromaticity().brightest();
        return light.y() <= 0
                ? 0
                : Math.clamp(
                        Lab.of(Xyz.WHITE.times(Math.min(1, light.y() / full.y())))
                                        .l()
                                / 100,
                        0.15,
                        1);
    }

    private static String words(Output output, String level) {
        return output.isDark()
                ? "dark"
                : Colour.nearest(output.light().chromaticity()) + (level.isEmpty() ? "" : ", %s %%".formatted(level));
    }

    private static String number(double value) {
        String text = String.format(Locale.ROOT, "%.1f", value);
        return text.endsWith(".0") ? text.substring(0, text.length() - 2) : text;
    }
}
