package embrack.app.light;

import embrack.app.frame.StageView;
import embrack.core.light.Circuits;
import embrack.core.light.DataLine;
import embrack.core.light.Fixture;
import embrack.core.light.FixtureType;
import embrack.core.light.Lights;
import embrack.core.light.Load;
import embrack.core.light.Mode;
import embrack.core.light.Patch;
import embrack.core.light.library.Fixtures;
import embrack.core.light.text.FixtureText;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What hangs, with its addresses.
 *
 * @param shared fixtures that share slots, a sentence each
 * @param used how many slots are read, and which in between are not, in sentences
 * @param load what all of it draws and weighs, and on how many circuits, in sentences
 * @param lines how data goes from one to the next, universe by universe
 * @param lit who is lit by whom: "Keeper: Par 1 and Par 3"
 */
record FixturesPage(
        StageView stage,
        AboveView above,
        List<Row> rows,
        List<Choice> types,
        List<Hired> hired,
        List<String> shared,
        String used,
        String load,
        List<String> lines,
        List<String> lit,
        String text) {

    /** What the figures are for; other mains, other currents. */
    private static final int VOLTS = 230;

    private static final int BREAKER = 16;

    /** A fixture with its fields as they are typed. */
    record Row(
            String id,
            String name,
            String group,
            String type,
            String typeId,
            List<Choice> modes,
            String address,
            String slots,
            String dip,
            String button,
            String across,
            String deep,
            String high,
            String whom,
            boolean isByAir) {}

    /** Something to choose. */
    record Choice(String key, String words, boolean isChosen) {}

    /** A type of which some hang. */
    record Hired(String key, String words) {}

    static FixturesPage of(Plan plan) {
        Lights lights = plan.lights();
        Patch patch = plan.patch();
        return new FixturesPage(
                StageView.of(lights, Optional.empty()),
                AboveView.of(lights),
                lights.fixtures().stream().map(fixture -> row(patch, fixture)).toList(),
                types(lights),
                lights.types().stream()
                        .filter(type -> count(lights, type) > 0)
                        .map(type -> new Hired(type.id().text(), count(lights, type) + " \u00d7 " + type.name()))
                        .toList(),
                patch.shared().stream().map(FixturesPage::words).toList(),
                used(patch),
                load(Load.of(lights)) + circuits(lights),
                Stream.concat(DataLine.of(lights).stream().map(FixturesPage::words), byAir(lights).stream())
                        .toList(),
                lights.whoms().stream()
                        .map(whom -> "%s: %s"
                                .formatted(
                                        whom,
                                        Words.list(lights.meant(whom).stream()
                                                .map(Fixture::name)
                                                .toList())))
                        .toList(),
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

    private static String circuits(Lights lights) {
        Circuits circuits = Circuits.of(lights, BREAKER, VOLTS);
        return circuits.amperes().isEmpty()
                ? ""
                : String.format(
                        Locale.ROOT,
                        " That is %s of %d A, none filled beyond %.1f A for long (common practice): %s.",
                        Words.count(circuits.amperes().size(), "circuit"),
                        BREAKER,
                        Circuits.limit(BREAKER),
                        IntStream.range(0, circuits.amperes().size())
                                .mapToObj(i -> String.format(
                                        Locale.ROOT,
                                        "%.1f A, %.0f A in the first moment",
                                        circuits.amperes().get(i),
                                        circuits.inrush().get(i)))
                                .collect(Collectors.joining("; ")));
    }

    /** "Universe 1: Bar 1, Bar 2; cables 3 m, 5 m, 8 m in all; the terminator goes into Bar 2." */
    private static String words(DataLine line) {
        String last = line.fixtures().getLast().name().text();
        return "Universe %d, from one to the next: %s. %sThe terminator goes into %s."
                .formatted(
                        line.universe(),
                        Words.list(line.fixtures().stream().map(Fixture::name).toList()),
                        line.cables().isEmpty() ? "" : "Cables between: %s. ".formatted(cables(line)),
                        last);
    }

    private static Optional<String> byAir(Lights lights) {
        List<TapeLabel> names = lights.fixtures().stream()
                .filter(Fixture::isByAir)
                .map(Fixture::name)
                .toList();
        return names.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        ("By air: %s, each at a receiver. A frame takes 22.7 ms (ANSI E1.11); the air adds 5 to 20 ms, "
                                        + "more where the band is full (from memory). A cable for what must not fail.")
                                .formatted(Words.list(names)));
    }

    private static String cables(DataLine line) {
        Map<Integer, Integer> lengths = new TreeMap<>();
        line.cables().forEach(metres -> lengths.merge(metres, 1, Integer::sum));
        return Words.list(lengths.entrySet().stream()
                .map(each -> "%d \u00d7 %d m".formatted(each.getValue(), each.getKey()))
                .toList());
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

    private static Row row(Patch patch, Fixture fixture) {
        Lights lights = patch.lights();
        FixtureType type = lights.type(fixture);
        Mode mode = lights.lamp(fixture).mode();
        return new Row(
                fixture.id().text(),
                fixture.name().text(),
                fixture.group().text(),
                type.name().text(),
                type.id().text(),
                type.modes().stream()
                        .map(other ->
                                new Choice(other.name().text(), other.name().text(), other.equals(mode)))
                        .toList(),
                fixture.at().map(Object::toString).orElse(""),
                fixture.at()
                        .map(at -> mode.footprint() == 1
                                ? String.valueOf(at.start())
                                : "%d to %d".formatted(at.start(), at.last(mode.footprint())))
                        .orElse("none yet"),
                fixture.at()
                        .map(at -> Words.list(at.dipSwitches()))
                        .filter(on -> !on.isEmpty())
                        .orElse("none"),
                patch.place(fixture)
                        .map(place -> "fixture button %d".formatted(place.button()))
                        .orElse(""),
                metres(fixture.hang().across()),
                metres(fixture.hang().deep()),
                metres(fixture.hang().high()),
                fixture.whom().map(TapeLabel::text).orElse(""),
                fixture.isByAir());
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
