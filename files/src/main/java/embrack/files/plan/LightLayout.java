package embrack.files.plan;

import static embrack.files.json.Shapes.as;
import static embrack.files.json.Shapes.texts;
import static embrack.files.json.Shapes.truth;
import static embrack.files.json.Shapes.whole;

import embrack.core.light.Address;
import embrack.core.light.Chase;
import embrack.core.light.ChaseId;
import embrack.core.light.Fixture;
import embrack.core.light.FixtureId;
import embrack.core.light.FixtureType;
import embrack.core.light.FixtureTypeId;
import embrack.core.light.Hang;
import embrack.core.light.Held;
import embrack.core.light.Look;
import embrack.core.light.LookId;
import embrack.core.light.Pace;
import embrack.core.light.Scenes;
import embrack.core.light.text.FixtureReading;
import embrack.core.light.text.FixtureText;
import embrack.core.light.text.LookText;
import embrack.core.text.Problem;
import embrack.files.json.Layout;
import embrack.files.json.Text;
import embrack.files.model.Texts;
import java.util.List;
import java.util.Optional;

/** The fields of lights. */
final class LightLayout {

    /** More types than anybody hires at once. */
    static final int MAX_TYPES = 200;

    /** More scenes than all desks of a rig hold. */
    static final int MAX_HELD = 10_000;

    private static final int MAX_LINES = 200;

    private static final Text<FixtureTypeId> TYPE_ID =
            Texts.id("fixtureTypeId", "the id of a type of fixture", FixtureTypeId::new, FixtureTypeId::text);

    private static final Text<FixtureId> FIXTURE_ID =
            Texts.id("fixtureId", "the id of a fixture", FixtureId::new, FixtureId::text);

    private static final Text<LookId> LOOK_ID = Texts.id("lookId", "the id of a look", LookId::new, LookId::text);

    private static final Text<ChaseId> CHASE_ID = Texts.id("chaseId", "the id of a chase", ChaseId::new, ChaseId::text);

    private static final Text<Address> ADDRESS = new Text<>(
            "address",
            "where slots begin, such as 33; 2.33 in the second universe",
            Texts.pattern("^(\\d{1,5}\\.)?\\d{1,3}$"),
            Address::parse,
            Address::toString);

    private static final Text<Pace> PACE = new Text<>(
            "pace",
            "0.75 s, 0.75 s tapped, 1/2 beat, or by sound",
            Texts.lengths(1, 40),
            typed -> Pace.parse(typed).orElseThrow(() -> new IllegalArgumentException("No pace of a chase: " + typed)),
            Pace::words);

    private static final Text<String> LINE =
            new Text<>("fixtureLine", "a line of text", Texts.lengths(0, 500), same -> same, same -> same);

    /** A type of fixture. */
    static final Layout<Object, FixtureType> TYPE = Layout.of("fixture-type", "A type of fixture.", t -> {
        var id = t.needs("id", TYPE_ID, "used inside the file only", FixtureType::id);
        var name = t.needs("name", Texts.LABEL, "what it is called", FixtureType::name);
        var text = t.needs(
                "text",
                texts(LINE, 1, MAX_LINES),
                "what it is, [line by line](formats.md#the-fixture-as-text)",
                type -> FixtureText.of(type).lines().toList());
        return g -> {
            FixtureReading reading = FixtureReading.of(g.get(id), g.get(name), String.join("\n", g.get(text)));
            return reading.type().orElseThrow(() -> new IllegalArgumentException(words(reading.problems())));
        };
    });

    /** A fixture. */
    static final Layout<Object, Fixture> FIXTURE = Layout.of("fixture", "A fixture that hangs or stands.", t -> {
        var id = t.needs("id", FIXTURE_ID, "used inside the file only", Fixture::id);
        var name = t.needs("name", Texts.LABEL, "what it is called", Fixture::name);
        var type = t.needs("type", TYPE_ID, "what it is", Fixture::type);
        var mode = t.needs("mode", Texts.LABEL, "the mode that it is set to", Fixture::mode);
        var group = t.needs("group", Texts.LABEL, "what it is called together with others", Fixture::group);
        var at = t.may("address", ADDRESS, "where its slots begin", Fixture::at);
        var across = t.needs(
                "across",
                whole(-3_000, 3_000),
                "centimetres to the right of the middle, as the house sees it",
                f -> f.hang().across());
        var deep = t.needs(
                "deep",
                whole(-1_000, 3_000),
                "centimetres behind the edge of the stage",
                f -> f.hang().deep());
        var high = t.needs(
                "high",
                whole(0, 2_000),
                "centimetres above the stage",
                f -> f.hang().high());
        var whom =
                t.may("lights", Texts.LABEL, "who or what it lights, so that looks can speak of them", Fixture::whom);
        var air = t.or("byAir", truth(), false, "whether its data come over a wireless link", Fixture::isByAir);
        return g -> new Fixture(
                g.get(id),
                g.get(name),
                g.get(type),
                g.get(mode),
                g.get(group),
                g.get(at),
                new Hang(g.get(across), g.get(deep), g.get(high)),
                g.get(whom),
                g.get(air));
    });

    /** A look. */
    static final Layout<Object, Look> LOOK = Layout.of("look", "What the fixtures show.", t -> {
        var id = t.needs("id", LOOK_ID, "used inside the file only", Look::id);
        var name = t.needs("name", Texts.LABEL, "what it is called", Look::name);
        var lines = t.needs(
                "lines",
                as(texts(LINE, 0, MAX_LINES), LightLayout::lines, read -> LookText.lines(read)),
                "who shows what, such as \"bars: deep blue 60 %\"",
                Look::lines);
        var fade = t.or(
                "fadeMillis", whole(0, Look.LONGEST_FADE), 0, "how long it takes to come in, ms", Look::fadeMillis);
        return g -> new Look(g.get(id), g.get(name), g.get(lines), g.get(fade));
    });

    /** A look in a desk. */
    static final Layout<RigSoFar, Held> HELD = Layout.of("stored-look", "A look that a desk holds.", t -> {
        var desk = t.needs("desk", DeviceLayout.KNOWN, "the desk", Held::desk);
        var bank = t.may(
                "bank",
                Texts.PART,
                "the bank, of a desk with banks",
                h -> h.place().bank());
        var scene = t.needs("scene", Texts.PART, "the scene", h -> h.place().scene());
        var look = t.needs("look", LOOK_ID, "what it shows", Held::look);
        return g -> new Held(g.get(desk), new Scenes.Place(g.get(bank), g.get(scene)), g.get(look));
    });

    /** A chase. */
    static final Layout<RigSoFar, Chase> CHASE = Layout.of("chase", "Looks that follow one another.", t -> {
        var id = t.needs("id", CHASE_ID, "used inside the file only", Chase::id);
        var name = t.needs("name", Texts.LABEL, "what it is called", Chase::name);
        var steps = t.needs("steps", texts(LOOK_ID, 2, Chase.MAX_STEPS), "its looks, in order", Chase::steps);
        var pace = t.may(
                "pace",
                PACE,
                "how long each is shown",
                c -> c.pace() instanceof Pace.Timed ? Optional.empty() : Optional.of(c.pace()));
        var step = t.may(
                "stepMillis",
                whole(Pace.SHORTEST, Pace.LONGEST),
                "the same as a time, ms",
                c -> c.pace() instanceof Pace.Timed timed ? Optional.of(timed.millis()) : Optional.empty());
        t.oneOf(pace, step);
        var desk = t.may("desk", DeviceLayout.KNOWN, "the desk that holds it", c -> c.at().map(Chase.At::desk));
        var part = t.may("part", Texts.PART, "where in that desk", c -> c.at().map(Chase.At::part));
        return g -> new Chase(
                g.get(id),
                g.get(name),
                g.get(steps),
                g.get(pace).or(() -> g.get(step).map(Pace.Timed::new)).orElseThrow(),
                g.get(desk).flatMap(box -> g.get(part).map(at -> new Chase.At(box, at))));
    });

    private LightLayout() {}

    private static List<Look.Line> lines(List<String> written) {
        LookText read = LookText.of(String.join("\n", written));
        if (!read.problems().isEmpty()) {
            throw new IllegalArgumentException(words(read.problems()));
        }
        return read.lines();
    }

    private static String words(List<Problem> problems) {
        return problems.getFirst().toString();
    }
}
