package embrack.core.edit;

import embrack.core.light.Address;
import embrack.core.light.Fixture;
import embrack.core.light.FixtureId;
import embrack.core.light.FixtureType;
import embrack.core.light.FixtureTypeId;
import embrack.core.light.Hang;
import embrack.core.light.Lights;
import embrack.core.light.Mode;
import embrack.core.light.Patch;
import embrack.core.light.library.Fixtures;
import embrack.core.light.text.FixtureReading;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.word.Phrase;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** Changes to what hangs. */
public sealed interface FixtureEdit extends Edit {

    /**
     * Hangs some fixtures of one type side by side, with the next free addresses.
     *
     * @param count how many, as it was typed
     * @param group what they are called together, as it was typed; blank for what the type is
     */
    record AddFixtures(FixtureTypeId type, String count, String group) implements FixtureEdit {

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
                        Optional.of(new Patch(lights, plan.patch().pages()).free(mode.footprint())),
                        new Hang(across, FIRST + APART * row, Hang.MIDDLE.high()));
                Lights soFar = lights;
                lights = Refused.at("count", () -> soFar.withFixtures(Typed.plus(soFar.fixtures(), fixture)));
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
    record DescribeFixture(String name, String text) implements FixtureEdit {
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
            FixtureType type = reading.type().orElseThrow(() -> Typed.text("text", reading.problems()));
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
            implements FixtureEdit {
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
    record HangFixture(FixtureId fixture, String across, String deep, String high) implements FixtureEdit {
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

    /**
     * Says whom a fixture lights, as it was typed, blank for nobody by name, and whether its data come by air. Looks
     * that speak of those whom only it lit go along.
     */
    record LightWhom(FixtureId fixture, String whom, boolean isByAir) implements FixtureEdit {
        @Override
        public Plan apply(Plan plan) {
            Optional<TapeLabel> before = find(plan, "whom", fixture).whom();
            Optional<TapeLabel> after = Typed.optional("whom", whom, TapeLabel::parse);
            Lights changed = change(
                            plan, fixture, "whom", old -> old.withWhom(after).byAir(isByAir))
                    .lights();
            return plan.withLights(
                    before.isPresent()
                                    && after.isPresent()
                                    && changed.meant(before.get()).isEmpty()
                            ? changed.renamed(before.get(), after.get())
                            : changed);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("light-whom").with("fixture", fixtureName(before, fixture));
        }
    }

    /** Takes a fixture down. */
    record RemoveFixture(FixtureId fixture) implements FixtureEdit {
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
    record HireInstead(FixtureTypeId type, FixtureTypeId instead) implements FixtureEdit {
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
                    Address at = new Patch(bare, plan.patch().pages())
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
    record AddressAll() implements FixtureEdit {
        @Override
        public Plan apply(Plan plan) {
            return plan.withLights(plan.patch().addressed());
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("address-all");
        }
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
        return lights.types().contains(type) ? lights : lights.withTypes(Typed.plus(lights.types(), type));
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
}
