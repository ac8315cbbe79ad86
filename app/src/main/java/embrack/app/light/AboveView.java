package embrack.app.light;

import embrack.core.light.Fixture;
import embrack.core.light.Lights;
import java.util.List;
import java.util.Locale;

/**
 * The stage from above, the house at the foot of the drawing: what hangs where, to be dragged.
 *
 * @param height of the drawing, which is 1000 units wide
 * @param front where the edge of the stage is drawn
 * @param metre units of the drawing for a metre on the stage
 */
record AboveView(List<Hung> lamps, String height, String front, String metre) {

    private static final double WIDTH = 1000;
    private static final double MARGIN = 46;

    /** A stage is drawn at least so wide to each side and so deep, centimetres. */
    private static final int HALF_WIDTH = 500;

    private static final int DEPTH = 300;
    private static final int METRE = 100;

    /** A fixture, in units of the drawing. */
    record Hung(String id, String name, String shape, String x, String y, String words) {}

    static AboveView of(Lights lights) {
        int widest = HALF_WIDTH;
        int deepest = DEPTH;
        int nearest = 0;
        for (Fixture fixture : lights.fixtures()) {
            widest = Math.max(widest, Math.abs(fixture.hang().across()));
            deepest = Math.max(deepest, fixture.hang().deep());
            nearest = Math.min(nearest, fixture.hang().deep());
        }
        double unit = (WIDTH / 2 - MARGIN) / widest;
        double front = MARGIN + deepest * unit;
        return new AboveView(
                lights.fixtures().stream()
                        .map(fixture -> new Hung(
                                fixture.id().text(),
                                fixture.name().text(),
                                lights.type(fixture).shape().words(),
                                number(WIDTH / 2 + fixture.hang().across() * unit),
                                number(front - fixture.hang().deep() * unit),
                                "%s: %s m right of the middle, %s m behind the edge, %s m high"
                                        .formatted(
                                                fixture.name(),
                                                FixturesPage.metres(
                                                        fixture.hang().across()),
                                                FixturesPage.metres(
                                                        fixture.hang().deep()),
                                                FixturesPage.metres(
                                                        fixture.hang().high()))))
                        .toList(),
                number(front - nearest * unit + MARGIN),
                number(front),
                number(METRE * unit));
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
