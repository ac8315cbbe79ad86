package embrack.core.light;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.colour.Colour;
import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * What hangs, what it shows, and which look a desk holds where.
 *
 * @param types those that fixtures are of, and others that were described
 * @param fixtures in the order in which they are listed
 */
public record Lights(
        List<FixtureType> types, List<Fixture> fixtures, List<Look> looks, List<Held> held, List<Chase> chases) {

    /** Nothing hangs. */
    public static final Lights NONE = new Lights(List.of(), List.of(), List.of(), List.of(), List.of());

    /** More fixtures than a rig of this size has. */
    public static final int MAX_FIXTURES = 512;

    /** More looks than anybody remembers. */
    public static final int MAX_LOOKS = 500;

    public Lights {
        types = List.copyOf(types);
        fixtures = List.copyOf(fixtures);
        looks = List.copyOf(looks);
        held = List.copyOf(held);
        chases = List.copyOf(chases);
        requireNoMore(fixtures.size(), MAX_FIXTURES, "fixtures");
        requireNoMore(looks.size(), MAX_LOOKS, "looks");
        requireDifferent(types, FixtureType::id, "types of fixtures");
        requireDifferent(fixtures, Fixture::id, "fixtures");
        requireDifferent(fixtures, fixture -> lower(fixture.name()), "fixtures");
        requireDifferent(looks, Look::id, "looks");
        requireDifferent(looks, look -> lower(look.name()), "looks");
        requireDifferent(held, h -> List.of(h.desk(), h.place()), "places in a desk");
        requireNoMore(chases.size(), MAX_LOOKS, "chases");
        requireDifferent(chases, Chase::id, "chases");
        requireDifferent(chases, chase -> lower(chase.name()), "chases");
        for (Fixture fixture : fixtures) {
            FixtureType type = find(types, fixture.type());
            Mode mode = type.mode(fixture.mode())
                    .orElseThrow(() ->
                            new IllegalArgumentException("%s has no mode %s.".formatted(type.name(), fixture.mode())));
            fixture.at().ifPresent(at -> requireRoom(fixture, at, mode));
        }
        for (LookId id : Stream.concat(
                        held.stream().map(Held::look), chases.stream().flatMap(c -> c.steps().stream()))
                .toList()) {
            if (looks.stream().noneMatch(look -> look.id().equals(id))) {
                throw new IllegalArgumentException("There is no look %s.".formatted(id));
            }
        }
    }

    private static String lower(TapeLabel label) {
        return label.text().toLowerCase(Locale.ROOT);
    }

    private static void requireNoMore(int count, int most, String what) {
        if (count > most) {
            throw new IllegalArgumentException("A rig has at most %d %s, not %d.".formatted(most, what, count));
        }
    }

    private static <T> void requireDifferent(List<T> things, Function<T, Object> by, String what) {
        Set<Object> seen = new HashSet<>();
        for (T thing : things) {
            if (!seen.add(by.apply(thing))) {
                throw new IllegalArgumentException("Two %s are both called %s.".formatted(what, by.apply(thing)));
            }
        }
    }

    /** A fixture reads no slots of the next universe (ANSI E1.11: 512 a universe). */
    private static void requireRoom(Fixture fixture, Address at, Mode mode) {
        int over = at.last(mode.footprint()) - Mode.MAX_SLOTS;
        if (over > 0) {
            throw new IllegalArgumentException(
                    "%s takes %d slots from %d: %d too many. The last that fits is %d; or take the next universe."
                            .formatted(
                                    fixture.name(),
                                    mode.footprint(),
                                    at.start(),
                                    over,
                                    Mode.MAX_SLOTS - mode.footprint() + 1));
        }
    }

    private static FixtureType find(List<FixtureType> types, FixtureTypeId id) {
        return types.stream()
                .filter(type -> type.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no type of fixture %s.".formatted(id)));
    }

    public boolean isEmpty() {
        return fixtures.isEmpty() && looks.isEmpty();
    }

    public FixtureType type(Fixture fixture) {
        return find(types, fixture.type());
    }

    /** A fixture in its mode. */
    public Lamp lamp(Fixture fixture) {
        FixtureType type = type(fixture);
        return new Lamp(type, type.mode(fixture.mode()).orElseThrow());
    }

    public Optional<Fixture> fixture(FixtureId id) {
        return fixtures.stream().filter(fixture -> fixture.id().equals(id)).findFirst();
    }

    public Optional<Look> look(LookId id) {
        return looks.stream().filter(look -> look.id().equals(id)).findFirst();
    }

    /** The look that a desk holds at one of its places. */
    public Optional<Look> holds(DeviceId desk, Scenes.Place place) {
        return held.stream()
                .filter(one -> one.desk().equals(desk) && one.place().equals(place))
                .findFirst()
                .flatMap(one -> look(one.look()));
    }

    /** The look that an action has a desk show, in whichever bank it is; empty where banks hold more than one there. */
    public Optional<Look> shownBy(DeviceId desk, Chart chart, Action action) {
        return at(desk, action.part()).size() > 1
                ? Optional.empty()
                : meant(desk, chart, List.of(), action).flatMap(place -> holds(desk, place));
    }

    private List<Held> at(DeviceId desk, PartId scene) {
        return of(desk).stream()
                .filter(one -> one.place().scene().equals(scene))
                .toList();
    }

    /**
     * The place of a desk that is meant by an action that shows a scene: in the bank that is chosen before it, else in
     * the only one that holds something there, else in the one that is chosen from the start. Empty for a desk that
     * holds nothing.
     *
     * @param before what the desk is asked to do just before it, in order
     */
    public Optional<Scenes.Place> meant(DeviceId desk, Chart chart, List<Action> before, Action action) {
        Scenes scenes = Scenes.of(chart);
        if (of(desk).isEmpty()
                || !scenes.scenes().contains(action.part())
                || !Scenes.shows(chart, new Scenes.Place(Optional.empty(), action.part()))
                        .contains(action)) {
            return Optional.empty();
        }
        List<Held> there = at(desk, action.part());
        Optional<PartId> bank = before.reversed().stream()
                .filter(earlier -> scenes.banks().contains(earlier.part()) && Scenes.isShown(earlier.verb()))
                .map(Action::part)
                .findFirst()
                .or(() -> there.size() == 1 ? there.getFirst().place().bank() : Optional.empty())
                .or(() -> scenes.banks().stream().findFirst());
        return Optional.of(new Scenes.Place(bank, action.part()));
    }

    /** The bank in which a desk has to be, for an action to show what is {@link #meant} by it; empty without banks. */
    public Optional<NeededBank> needed(DeviceId desk, Chart chart, List<Action> before, Action action) {
        List<PartId> banks = Scenes.of(chart).banks();
        return meant(desk, chart, before, action)
                .flatMap(Scenes.Place::bank)
                .filter(bank -> banks.size() > 1)
                .map(bank -> new NeededBank(
                        bank,
                        bank.equals(banks.getFirst())
                                ? banks.stream()
                                        .filter(other -> !other.equals(bank))
                                        .toList()
                                : List.of()));
    }

    /** Whether what a desk holds lies in more banks than one. */
    public boolean usesBanks(DeviceId desk) {
        return of(desk).stream().map(one -> one.place().bank()).distinct().count() > 1;
    }

    /** What a desk holds, in the order in which it was put there. */
    public List<Held> of(DeviceId desk) {
        return held.stream().filter(one -> one.desk().equals(desk)).toList();
    }

    /** Where a look is held. */
    public List<Held> holding(LookId look) {
        return held.stream().filter(one -> one.look().equals(look)).toList();
    }

    /** The lights without what a desk held. */
    public Lights without(DeviceId desk) {
        return withHeld(held.stream().filter(one -> !one.desk().equals(desk)).toList())
                .withChases(chases.stream()
                        .map(chase ->
                                chase.at().filter(at -> at.desk().equals(desk)).isPresent()
                                        ? chase.heldAt(Optional.empty())
                                        : chase)
                        .toList());
    }

    /** The names by which several are called, in the order of the fixtures. */
    public List<TapeLabel> groups() {
        var groups = new LinkedHashSet<TapeLabel>();
        fixtures.forEach(fixture -> groups.add(fixture.group()));
        return List.copyOf(groups);
    }

    /** Who or what is lit by name, in the order of the fixtures. */
    public List<TapeLabel> whoms() {
        var whoms = new LinkedHashSet<TapeLabel>();
        fixtures.forEach(fixture -> fixture.whom().ifPresent(whoms::add));
        return List.copyOf(whoms);
    }

    /** All that a look can speak of that means several, in the order of the fixtures. */
    public List<TapeLabel> meanings() {
        return Stream.concat(groups().stream(), whoms().stream()).distinct().toList();
    }

    /** What every fixture is sent and shows in a look, in their order. */
    public List<Output> shown(Look look) {
        Map<Asked, Output> outputs = new HashMap<>();
        return fixtures.stream()
                .map(fixture -> outputs.computeIfAbsent(asked(look, fixture), Asked::output))
                .toList();
    }

    /** How bright each fixture is to be in a look, in percent, in their order. */
    public List<Integer> strengths(Look look) {
        return fixtures.stream()
                .map(fixture -> line(look, fixture).map(Look.Line::percent).orElse(0))
                .toList();
    }

    /** What a look asks of a lamp: the same of all that are alike. */
    private record Asked(Lamp lamp, Optional<Colour> colour, int percent, Optional<Double> flashes) {
        Output output() {
            return lamp.shows(colour, percent, flashes);
        }
    }

    private Asked asked(Look look, Fixture fixture) {
        Lamp lamp = lamp(fixture);
        return line(look, fixture)
                .map(line -> new Asked(lamp, colour(line, fixture), line.percent(), line.flashes()))
                .orElseGet(() -> new Asked(lamp, Optional.empty(), 0, Optional.empty()));
    }

    /** The last line of a look that is about a fixture. */
    private static Optional<Look.Line> line(Look look, Fixture fixture) {
        return look.lines().reversed().stream()
                .filter(line -> fixture.isMeantBy(line.who()))
                .findFirst();
    }

    private Optional<Colour> colour(Look.Line line, Fixture fixture) {
        List<Colour> colours = line.colours();
        return colours.isEmpty()
                ? Optional.empty()
                : Optional.of(colours.get(meant(line.who()).indexOf(fixture) % colours.size()));
    }

    /** Fixtures that show another colour than a look asks for, by more than so much, or stay steady. */
    public List<Shortfall> shortfalls(Look look, double distance) {
        List<Shortfall> shortfalls = new ArrayList<>();
        List<Output> outputs = shown(look);
        for (int i = 0; i < outputs.size(); i++) {
            Fixture fixture = fixtures.get(i);
            Output output = outputs.get(i);
            boolean isSteady = output.flashes() == 0
                    && !output.isDark()
                    && line(look, fixture).flatMap(Look.Line::flashes).isPresent();
            if (output.distance() > distance || isSteady) {
                shortfalls.add(new Shortfall(fixture, output.distance(), isSteady));
            }
        }
        return shortfalls;
    }

    /** Whom words in a look mean; none where they mean nobody. */
    public List<Fixture> meant(TapeLabel who) {
        return fixtures.stream().filter(fixture -> fixture.isMeantBy(who)).toList();
    }

    /** The looks with another name for whom they mean. */
    public Lights renamed(TapeLabel from, TapeLabel to) {
        return withLooks(looks.stream()
                .map(look -> look.withLines(look.lines().stream()
                        .map(line -> line.who().sameAs(from) ? line.about(to) : line)
                        .toList()))
                .toList());
    }

    public Lights withTypes(List<FixtureType> others) {
        return new Lights(others, fixtures, looks, held, chases);
    }

    public Lights withFixtures(List<Fixture> others) {
        return new Lights(types, others, looks, held, chases);
    }

    public Lights withLooks(List<Look> others) {
        return new Lights(types, fixtures, others, held, chases);
    }

    public Lights withHeld(List<Held> others) {
        return new Lights(types, fixtures, looks, others, chases);
    }

    public Lights withChases(List<Chase> others) {
        return new Lights(types, fixtures, looks, held, others);
    }

    public Optional<Chase> chase(ChaseId id) {
        return chases.stream().filter(chase -> chase.id().equals(id)).findFirst();
    }

    /** The chase that a desk holds at one of its parts. */
    public Optional<Chase> chaseAt(DeviceId desk, PartId part) {
        return chases.stream()
                .filter(chase ->
                        chase.at().filter(new Chase.At(desk, part)::equals).isPresent())
                .findFirst();
    }
}
