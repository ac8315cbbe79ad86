package embrack.core.edit;

import embrack.core.light.Address;
import embrack.core.light.Chase;
import embrack.core.light.ChaseId;
import embrack.core.light.Fixture;
import embrack.core.light.FixtureId;
import embrack.core.light.FixtureType;
import embrack.core.light.FixtureTypeId;
import embrack.core.light.Hang;
import embrack.core.light.Held;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.light.LookId;
import embrack.core.light.Mode;
import embrack.core.light.Patch;
import embrack.core.light.Scenes;
import embrack.core.light.library.Fixtures;
import embrack.core.light.text.FixtureReading;
import embrack.core.light.text.LookText;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.text.Problem;
import embrack.core.word.Phrase;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** Changes to what hangs, what it shows, and what desks hold. */
public sealed interface LightEdit extends Edit {

    /**
     * Hangs some fixtures of one type side by side, with the next free addresses.
     *
     * @param count how many, as it was typed
     * @param group what they are called together, as it was typed; blank for what the type is
     */
    record AddFixtures(FixtureTypeId type, String count, String group) implements LightEdit {

        /** How wide the first row hangs, and how much narrower each behind it, centimetres. */
        private static final int WIDTH = 800;

        private static final int NARROWER = 120;

        /** How deep the first row hangs, and how far one behind another, centimetres. */
        private static final int FIRST = 100;

        private static final int APART = 150;
        private static final int ROWS = 4;

        @Override
        public Plan apply(Plan plan) {
            FixtureType known = known(plan, "type", type);
            int number = Typed.number("count", count);
            if (number < 1 || number > Lights.MAX_FIXTURES) {
                throw new Refused("count", Say.of("no.how-many").with("most", Lights.MAX_FIXTURES));
            }
            TapeLabel called = Typed.label(
                    "group",
                    group.isBlank() ? Words.plural(Words.capital(known.shape().words())) : group);
            Lights lights = withType(plan.lights(), known);
            Mode mode = known.modes().getFirst();
            int row = (int) (lights.groups().stream()
                            .filter(other -> !other.sameAs(called))
                            .count()
                    % ROWS);
            int width = WIDTH - NARROWER * row;
            for (int i = 0; i < number; i++) {
                int across = number == 1 ? 0 : width * i / (number - 1) - width / 2;
                TapeLabel name = free(lights, called);
                Fixture fixture = new Fixture(
                        Typed.freeId(name, FixtureId::new, isFree(lights)),
                        name,
                        known.id(),
                        mode.name(),
                        called,
                        Optional.of(new Patch(lights, Optional.empty()).free(mode.footprint())),
                        new Hang(across, FIRST + APART * row, Hang.MIDDLE.high()));
                Lights soFar = lights;
                lights = Refused.at("count", () -> soFar.withFixtures(plus(soFar.fixtures(), fixture)));
            }
            return plan.withLights(lights);
        }

        private static Predicate<FixtureId> isFree(Lights lights) {
            return id -> lights.fixture(id).isEmpty();
        }

        /** "Bar 3" of "Bars", with the lowest number that is free. */
        private static TapeLabel free(Lights lights, TapeLabel group) {
            String one = Words.singular(group.text());
            return Stream.iterate(1, n -> n + 1)
                    .map(n -> Typed.label("group", one + " " + n))
                    .filter(name -> lights.fixtures().stream()
                            .noneMatch(fixture -> fixture.name().sameAs(name)))
                    .findFirst()
                    .orElseThrow();
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-fixtures").with("count", count.strip()).with("type", name(before, type));
        }
    }

    /**
     * Describes a type of fixture that does not ship; one of that name is described anew, and fixtures of it keep their
     * mode where it still has that.
     */
    record DescribeFixture(String name, String text) implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            TapeLabel label = Typed.label("name", name);
            FixtureTypeId id = plan.lights().types().stream()
                    .filter(type -> type.name().sameAs(label))
                    .map(FixtureType::id)
                    .findFirst()
                    .orElseGet(() -> Typed.freeId(
                            label,
                            FixtureTypeId::new,
                            wish -> Fixtures.find(wish).isEmpty()
                                    && plan.lights().types().stream()
                                            .noneMatch(type -> type.id().equals(wish))));
            FixtureReading reading = FixtureReading.of(id, label, text);
            FixtureType type = reading.type().orElseThrow(() -> Refused.text("text", words(reading.problems())));
            Lights lights = plan.lights();
            List<FixtureType> types = Stream.concat(
                            lights.types().stream().filter(other -> !other.id().equals(id)), Stream.of(type))
                    .toList();
            List<Fixture> fixtures = lights.fixtures().stream()
                    .map(fixture -> fixture.type().equals(id)
                                    && type.mode(fixture.mode()).isEmpty()
                            ? fixture.withMode(type.modes().getFirst().name())
                            : fixture)
                    .toList();
            return plan.withLights(Refused.at(
                    "text", () -> new Lights(types, fixtures, lights.looks(), lights.held(), lights.chases())));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("describe-fixture").with("name", name.strip());
        }
    }

    /**
     * Names a fixture, sets its group, mode and address, all as they were typed. Looks that speak of it, or of a group
     * that is called otherwise with its last fixture, go along.
     */
    record ChangeFixture(FixtureId fixture, String name, String group, String mode, String address)
            implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            Plan changed = change(plan, fixture, "address", old -> {
                TapeLabel label = Typed.label("name", name);
                if (plan.lights().fixtures().stream()
                        .anyMatch(other ->
                                !other.id().equals(fixture) && other.name().sameAs(label))) {
                    throw new Refused("name", Say.of("no.fixture-taken").with("name", label));
                }
                TapeLabel set = Typed.label("mode", mode);
                if (plan.lights().type(old).mode(set).isEmpty()) {
                    throw new Refused("mode", Say.of("no.mode").with("mode", set));
                }
                return old.withName(label)
                        .withGroup(Typed.label("group", group))
                        .withMode(set)
                        .withAddress(Typed.optional("address", address, Address::parse));
            });
            Fixture before = find(plan, "name", fixture);
            Fixture after = find(changed, "name", fixture);
            return changed.withLights(
                    followed(followed(changed.lights(), before.name(), after.name()), before.group(), after.group()));
        }

        private static Lights followed(Lights lights, TapeLabel before, TapeLabel after) {
            return lights.meant(before).isEmpty() ? lights.renamed(before, after) : lights;
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("change-fixture").with("fixture", fixtureName(before, fixture));
        }
    }

    /** Moves a fixture; where to in metres, as they were typed, see {@link Hang}. */
    record HangFixture(FixtureId fixture, String across, String deep, String high) implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, fixture, "across", old -> {
                int x = centimetres("across", across);
                int y = centimetres("deep", deep);
                int z = centimetres("high", high);
                return old.withHang(Refused.at("across", () -> new Hang(x, y, z)));
            });
        }

        private static int centimetres(String field, String typed) {
            String digits = typed.strip().replace('\u2212', '-').replace(',', '.');
            if (!digits.matches("-?\\d{1,2}(\\.\\d{1,2})?")) {
                throw new Refused(field, Say.of("no.metres"));
            }
            return new BigDecimal(digits).movePointRight(2).intValueExact();
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("hang-fixture").with("fixture", fixtureName(before, fixture));
        }
    }

    /** Takes a fixture down. */
    record RemoveFixture(FixtureId fixture) implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            find(plan, "fixture", fixture);
            return plan.withLights(plan.lights()
                    .withFixtures(plan.lights().fixtures().stream()
                            .filter(other -> !other.id().equals(fixture))
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("remove-fixture").with("fixture", fixtureName(before, fixture));
        }
    }

    /** Has all fixtures of one type be of another, each in its first mode; looks stay, addresses are given anew. */
    record HireInstead(FixtureTypeId type, FixtureTypeId instead) implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            FixtureType hired = known(plan, "instead", instead);
            Lights lights = withType(plan.lights(), hired);
            List<Fixture> fixtures = lights.fixtures().stream()
                    .map(fixture -> fixture.type().equals(type)
                            ? fixture.withType(instead, hired.modes().getFirst().name())
                                    .withAddress(Optional.empty())
                            : fixture)
                    .toList();
            Lights bare = lights.withFixtures(fixtures);
            for (Fixture fixture : fixtures) {
                if (fixture.at().isEmpty() && fixture.type().equals(instead)) {
                    Address at = new Patch(bare, Optional.empty())
                            .free(bare.lamp(fixture).mode().footprint());
                    bare = replaced(bare, fixture.withAddress(Optional.of(at)));
                }
            }
            return plan.withLights(bare);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("hire-instead").with("type", name(before, type)).with("instead", name(before, instead));
        }
    }

    /** Gives all fixtures addresses, one behind the other. */
    record AddressAll() implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            return plan.withLights(new Patch(plan.lights(), Optional.empty()).addressed());
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("address-all");
        }
    }

    /** Adds a look, both fields as they were typed. */
    record AddLook(String name, String text) implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            TapeLabel label = freeName(plan, name, Optional.empty());
            LookId id = Typed.freeId(
                    label, LookId::new, wish -> plan.lights().look(wish).isEmpty());
            Look look = new Look(id, label, lines(plan, text));
            return plan.withLights(Refused.at(
                    "name", () -> plan.lights().withLooks(plus(plan.lights().looks(), look))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-look").with("look", name.strip());
        }
    }

    /** Says anew what a look is called and shows, both as they were typed. */
    record ChangeLook(LookId look, String name, String text) implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            Look old = findLook(plan, look);
            Look changed = old.withName(freeName(plan, name, Optional.of(look))).withLines(lines(plan, text));
            return plan.withLights(plan.lights()
                    .withLooks(plan.lights().looks().stream()
                            .map(other -> other.id().equals(look) ? changed : other)
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("change-look").with("look", lookName(before, look));
        }
    }

    /** Takes a look away, out of every desk and every chase; a chase of which too little is left goes with it. */
    record RemoveLook(LookId look) implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            findLook(plan, look);
            Lights lights = plan.lights();
            return plan.withLights(new Lights(
                    lights.types(),
                    lights.fixtures(),
                    lights.looks().stream()
                            .filter(other -> !other.id().equals(look))
                            .toList(),
                    lights.held().stream()
                            .filter(held -> !held.look().equals(look))
                            .toList(),
                    lights.chases().stream()
                            .flatMap(chase -> without(chase, look).stream())
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("remove-look").with("look", lookName(before, look));
        }
    }

    /**
     * Adds a chase, all as it was typed.
     *
     * @param steps the names of its looks, with commas between
     * @param seconds how long each is shown
     */
    record AddChase(String name, String steps, String seconds) implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            TapeLabel label = chaseName(plan, name, Optional.empty());
            ChaseId id = Typed.freeId(
                    label, ChaseId::new, wish -> plan.lights().chase(wish).isEmpty());
            return plan.withLights(plan.lights()
                    .withChases(
                            plus(plan.lights().chases(), chaseOf(plan, id, label, steps, seconds, Optional.empty()))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-chase").with("chase", name.strip());
        }
    }

    /**
     * Says anew what a chase is, as {@link AddChase}, and where a desk holds it.
     *
     * @param at empty for nowhere
     */
    record ChangeChase(ChaseId chase, String name, String steps, String seconds, Optional<Chase.At> at)
            implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            findChase(plan, chase);
            at.ifPresent(place -> {
                Typed.device("at", plan, place.desk());
                if (!Scenes.chases(plan.rig().chart(place.desk())).contains(place.part())) {
                    throw new Refused(
                            "at",
                            Say.of("no.chase-place").with("desk", plan.rig().name(place.desk())));
                }
            });
            Chase changed = chaseOf(plan, chase, chaseName(plan, name, Optional.of(chase)), steps, seconds, at);
            return plan.withLights(plan.lights()
                    .withChases(plan.lights().chases().stream()
                            .map(other -> other.id().equals(chase)
                                    ? changed
                                    : at.isPresent() && other.at().equals(at) ? other.heldAt(Optional.empty()) : other)
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("change-chase").with("chase", chaseName(before, chase));
        }
    }

    /** Takes a chase away. */
    record RemoveChase(ChaseId chase) implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            findChase(plan, chase);
            return plan.withLights(plan.lights()
                    .withChases(plan.lights().chases().stream()
                            .filter(other -> !other.id().equals(chase))
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("remove-chase").with("chase", chaseName(before, chase));
        }
    }

    /** Has a desk hold a look at a place, or nothing there. */
    record HoldLook(DeviceId desk, Scenes.Place place, Optional<LookId> look) implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("look", plan, desk);
            look.ifPresent(id -> findLook(plan, id));
            if (!Scenes.of(plan.rig().chart(desk)).places().contains(place)) {
                throw new Refused(
                        "look", Say.of("no.scene").with("desk", plan.rig().name(desk)));
            }
            List<Held> others = plan.lights().held().stream()
                    .filter(held -> !held.desk().equals(desk) || !held.place().equals(place))
                    .toList();
            return plan.withLights(plan.lights()
                    .withHeld(Stream.concat(others.stream(), look.map(id -> new Held(desk, place, id)).stream())
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("hold-look")
                    .with("desk", before.rig().name(desk))
                    .with("look", look.map(id -> lookName(before, id)).orElse("nothing"));
        }
    }

    /** Puts all looks into a desk that it does not hold yet, each into its next free scene. */
    record StoreLooks(DeviceId desk) implements LightEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("desk", plan, desk);
            List<Look> missing = plan.lights().looks().stream()
                    .filter(look -> plan.lights().holding(look.id()).stream()
                            .noneMatch(held -> held.desk().equals(desk)))
                    .toList();
            List<Scenes.Place> free = Scenes.of(plan.rig().chart(desk)).places().stream()
                    .filter(place -> plan.lights().holds(desk, place).isEmpty())
                    .toList();
            if (missing.size() > free.size()) {
                throw new Refused(
                        "desk",
                        Say.of("no.scenes-left")
                                .with("desk", plan.rig().name(desk))
                                .with("free", free.size())
                                .with("looks", missing.size()));
            }
            List<Held> held = new ArrayList<>(plan.lights().held());
            for (int i = 0; i < missing.size(); i++) {
                held.add(new Held(desk, free.get(i), missing.get(i).id()));
            }
            return plan.withLights(plan.lights().withHeld(held));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("store-looks").with("desk", before.rig().name(desk));
        }
    }

    private static Optional<Chase> without(Chase chase, LookId look) {
        List<LookId> left =
                chase.steps().stream().filter(step -> !step.equals(look)).toList();
        return left.size() < 2 ? Optional.empty() : Optional.of(chase.withSteps(left));
    }

    private static Chase chaseOf(
            Plan plan, ChaseId id, TapeLabel name, String steps, String seconds, Optional<Chase.At> at) {
        List<LookId> looks = Stream.of(steps.split(","))
                .map(String::strip)
                .filter(typed -> !typed.isEmpty())
                .map(typed -> plan.lights().looks().stream()
                        .filter(look -> look.name().text().equalsIgnoreCase(typed))
                        .findFirst()
                        .orElseThrow(() ->
                                new Refused("steps", Say.of("no.look-called").with("look", typed)))
                        .id())
                .toList();
        String digits = seconds.strip().replace(',', '.');
        if (!digits.matches("\\d{1,3}(\\.\\d{1,3})?")) {
            throw new Refused("seconds", Say.of("no.seconds"));
        }
        int millis = new BigDecimal(digits).movePointRight(3).intValueExact();
        String field = millis < Chase.SHORTEST || millis > Chase.LONGEST ? "seconds" : "steps";
        return Refused.at(field, () -> new Chase(id, name, looks, millis, at));
    }

    private static Chase findChase(Plan plan, ChaseId id) {
        return plan.lights().chase(id).orElseThrow(() -> new Refused("chase", Say.of("no.chase-gone")));
    }

    private static String chaseName(Plan plan, ChaseId id) {
        return plan.lights().chase(id).map(chase -> chase.name().text()).orElse("");
    }

    private static TapeLabel chaseName(Plan plan, String typed, Optional<ChaseId> own) {
        TapeLabel label = Typed.label("name", typed);
        if (plan.lights().chases().stream()
                .anyMatch(chase ->
                        own.filter(chase.id()::equals).isEmpty() && chase.name().sameAs(label))) {
            throw new Refused("name", Say.of("no.chase-taken").with("chase", label));
        }
        return label;
    }

    private static <T> List<T> plus(List<T> some, T more) {
        return Stream.concat(some.stream(), Stream.of(more)).toList();
    }

    /** A type of the plan, or one that ships. */
    private static FixtureType known(Plan plan, String field, FixtureTypeId id) {
        return plan.lights().types().stream()
                .filter(type -> type.id().equals(id))
                .findFirst()
                .or(() -> Fixtures.find(id))
                .orElseThrow(() -> new Refused(field, Say.of("no.fixture-type")));
    }

    private static String name(Plan plan, FixtureTypeId id) {
        return Stream.concat(plan.lights().types().stream(), Fixtures.all().stream())
                .filter(type -> type.id().equals(id))
                .map(type -> type.name().text())
                .findFirst()
                .orElse(id.text());
    }

    private static Lights withType(Lights lights, FixtureType type) {
        return lights.types().contains(type) ? lights : lights.withTypes(plus(lights.types(), type));
    }

    private static Fixture find(Plan plan, String field, FixtureId id) {
        return plan.lights().fixture(id).orElseThrow(() -> new Refused(field, Say.of("no.fixture-gone")));
    }

    private static String fixtureName(Plan plan, FixtureId id) {
        return plan.lights().fixture(id).map(fixture -> fixture.name().text()).orElse("");
    }

    private static Plan change(Plan plan, FixtureId id, String field, UnaryOperator<Fixture> change) {
        Fixture changed = change.apply(find(plan, field, id));
        return plan.withLights(Refused.at(field, () -> replaced(plan.lights(), changed)));
    }

    private static Lights replaced(Lights lights, Fixture changed) {
        return lights.withFixtures(lights.fixtures().stream()
                .map(other -> other.id().equals(changed.id()) ? changed : other)
                .toList());
    }

    private static Look findLook(Plan plan, LookId id) {
        return plan.lights().look(id).orElseThrow(() -> new Refused("look", Say.of("no.look-gone")));
    }

    private static String lookName(Plan plan, LookId id) {
        return plan.lights().look(id).map(look -> look.name().text()).orElse("");
    }

    private static TapeLabel freeName(Plan plan, String typed, Optional<LookId> own) {
        TapeLabel label = Typed.label("name", typed);
        if (plan.lights().looks().stream()
                .anyMatch(look -> !own.filter(look.id()::equals).isPresent()
                        && look.name().sameAs(label))) {
            throw new Refused("name", Say.of("no.look-taken").with("look", label));
        }
        return label;
    }

    /** The lines of a look; each must mean somebody who hangs there. */
    private static List<Look.Line> lines(Plan plan, String text) {
        LookText read = LookText.of(text);
        if (!read.problems().isEmpty()) {
            throw Refused.text("text", words(read.problems()));
        }
        read.lines().stream()
                .map(Look.Line::who)
                .filter(who -> plan.lights().meant(who).isEmpty() && !who.sameAs(Look.ALL))
                .findFirst()
                .ifPresent(who -> {
                    throw new Refused(
                            "text",
                            Say.of("no.nobody-called")
                                    .with("who", who)
                                    .with("groups", Words.list(plan.lights().groups())));
                });
        return Refused.at("text", () -> new Look(new LookId("look"), new TapeLabel("Look"), read.lines()).lines());
    }

    private static String words(List<Problem> problems) {
        return String.join(
                " ",
                problems.stream()
                        .map(problem -> "Line %d: %s".formatted(problem.line(), problem.words()))
                        .toList());
    }
}
