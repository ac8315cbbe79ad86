package embrack.app.light;

import embrack.core.light.Fixture;
import embrack.core.light.FixtureType;
import embrack.core.light.Lights;
import embrack.core.light.Load;
import embrack.core.light.Mode;
import embrack.core.light.Patch;
import embrack.core.light.library.Fixtures;
import embrack.core.light.text.FixtureText;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What hangs, with its addresses.
 *
 * @param shared fixtures that share slots, a sentence each
 * @param used how many slots are read, and which in between are not, in sentences
 * @param load what all of it draws and weighs, a sentence
 */
record FixturesPage(
        StageView stage,
        List<Row> rows,
        List<Choice> types,
        List<Hired> hired,
        List<String> shared,
        String used,
        String load,
        String text) {

    /** What the figures are for; other mains, other currents. */
    private static final int VOLTS = 230;

    /** A fixture with its fields as they are typed. */
    record Row(
            String id,
            String name,
            String group,
            String type,
            List<Choice> modes,
            String address,
            String slots,
            String dip,
            String across,
            String deep,
            String high) {}

    /** Something to choose. */
    record Choice(String key, String words, boolean isChosen) {}

    /** A type of which some hang. */
    record Hired(String key, String words) {}

    static FixturesPage of(Plan plan) {
        Lights lights = plan.lights();
        Patch patch = new Patch(lights, Optional.empty());
        return new FixturesPage(
                StageView.of(lights, Optional.empty()),
                lights.fixtures().stream().map(fixture -> row(lights, fixture)).toList(),
                types(lights),
                lights.types().stream()
                        .filter(type -> count(lights, type) > 0)
                        .map(type -> new Hired(type.id().text(), count(lights, type) + " \u00d7 " + type.name()))
                        .toList(),
                patch.shared().stream().map(FixturesPage::words).toList(),
                used(patch),
                load(Load.of(lights)),
                FixtureText.of(Fixtures.all().getFirst()));
    }

    private static String used(Patch patch) {
        String gaps = patch.gaps().stream()
                .map(gap -> (gap.universe() == 1 ? "" : gap.universe() + ".")
                        + (gap.from() == gap.to() ? gap.from() : gap.from() + " to " + gap.to()))
                .collect(Collectors.joining(", "));
        return Words.count(patch.slots(), "slot") + " of 512 a universe."
                + (gaps.isEmpty() ? "" : " Free in between: %s.".formatted(gaps));
    }

    private static String load(Load load) {
        return String.format(
                Locale.ROOT,
                "All full it draws %d W, %.1f A at %d V; switched on in one moment up to %.0f A. It weighs %.0f kg.",
                load.watts(),
                load.amperes(VOLTS),
                VOLTS,
                load.inrushAmperes(),
                load.kilograms());
    }

    private static int count(Lights lights, FixtureType type) {
        return (int) lights.fixtures().stream()
                .filter(fixture -> fixture.type().equals(type.id()))
                .count();
    }

    private static List<Choice> types(Lights lights) {
        List<FixtureType> own = new ArrayList<>(lights.types());
        own.removeIf(type -> Fixtures.find(type.id()).isPresent());
        return Stream.concat(own.stream(), Fixtures.all().stream())
                .map(type -> new Choice(type.id().text(), type.name().text(), false))
                .toList();
    }

    private static Row row(Lights lights, Fixture fixture) {
        FixtureType type = lights.type(fixture);
        Mode mode = lights.lamp(fixture).mode();
        return new Row(
                fixture.id().text(),
                fixture.name().text(),
                fixture.group().text(),
                type.name().text(),
                type.modes().stream()
                        .map(other ->
                                new Choice(other.name().text(), other.name().text(), other.equals(mode)))
                        .toList(),
                fixture.at().map(Object::toString).orElse(""),
                fixture.at()
                        .map(at -> "%d to %d".formatted(at.start(), at.last(mode.footprint())))
                        .orElse("none yet"),
                fixture.at()
                        .map(at -> Words.list(at.dipSwitches()))
                        .filter(on -> !on.isEmpty())
                        .orElse("none"),
                metres(fixture.hang().across()),
                metres(fixture.hang().deep()),
                metres(fixture.hang().high()));
    }

    /** Centimetres as metres: "2.5". */
    static String metres(int centimetres) {
        return BigDecimal.valueOf(centimetres, 2).stripTrailingZeros().toPlainString();
    }

    private static String words(Patch.Shared shared) {
        return shared.isAlike()
                ? "%s and %s have the same address: both show the same."
                        .formatted(shared.one().name(), shared.other().name())
                : "%s and %s share slots %d to %d: what moves one moves the other."
                        .formatted(shared.one().name(), shared.other().name(), shared.from(), shared.to());
    }
}
