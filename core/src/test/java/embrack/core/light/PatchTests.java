package embrack.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import embrack.core.gear.DeskPages;
import embrack.core.light.library.Fixtures;
import embrack.core.light.text.LookText;
import embrack.core.music.Tempo;
import embrack.core.name.Slug;
import embrack.core.name.TapeLabel;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PatchTests {

    private static final DeskPages PAGES = new DeskPages(12, 32, 8);

    /** Pages of 32 slots, eight faders in a row: arithmetic. */
    @ParameterizedTest
    @CsvSource({"65, 3, 1, 1", "41, 2, 2, 1", "9, 1, 2, 1", "1, 1, 1, 1", "32, 1, 4, 8", "33, 2, 1, 1", "384, 12, 4, 8"
    })
    void aSlotIsFoundOnAPageOfFaders(int address, int button, int page, int fader) {
        assertThat(PAGES.place(address)).isEqualTo(new DeskPages.Place(button, page, fader));
        assertThat(PAGES.start(3)).isEqualTo(65);
    }

    /** 24 lamps of 7 slots next to one another: 1, 8, ... 162; 168 slots; 73 fit a universe. */
    @Test
    void addressesByThemselvesLieNextToOneAnother() {
        Lights pars = new Patch(lights(24, "7 slots"), Optional.empty()).addressed();
        assertThat(starts(pars)).startsWith("1", "8").endsWith("162");
        assertThat(new Patch(pars, Optional.empty()).slots()).isEqualTo(168);
        assertThat(starts(new Patch(lights(74, "7 slots"), Optional.empty()).addressed()))
                .as("the 74th begins the next universe")
                .endsWith("505", "2.1");
    }

    @Test
    void aDeskWithPagesGetsAFixtureAButton() {
        Lights pars = new Patch(lights(3, "7 slots"), Optional.of(PAGES)).addressed();
        assertThat(starts(pars)).containsExactly("1", "33", "65");
        assertThat(new Patch(pars, Optional.of(PAGES)).beside()).isEmpty();
        assertThat(new Patch(new Patch(pars, Optional.empty()).addressed(), Optional.of(PAGES)).beside())
                .hasSize(2);
    }

    @Test
    void whatDoesNotFitIsRefusedWithHowMuch() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> at(lights(1, "7 slots"), 0, "509"))
                .withMessage("Par 1 takes 7 slots from 509: 3 too many. The last that fits is 506; or take "
                        + "the next universe.");
        assertThat(at(lights(1, "7 slots"), 0, "506").fixtures().getFirst().at())
                .contains(new Address(1, 506));
    }

    @Test
    void sharedSlotsAreFoundAndAlikeOnesAreToldApart() {
        Lights two = at(at(lights(2, "7 slots"), 0, "33"), 1, "39");
        assertThat(new Patch(two, Optional.empty()).shared())
                .singleElement()
                .extracting(Patch.Shared::from, Patch.Shared::to, Patch.Shared::isAlike)
                .containsExactly(39, 39, false);
        assertThat(new Patch(at(two, 1, "33"), Optional.empty()).shared())
                .singleElement()
                .matches(Patch.Shared::isAlike);
        assertThat(new Patch(at(two, 1, "2.39"), Optional.empty()).shared()).isEmpty();
        assertThat(new Patch(at(two, 1, "50"), Optional.empty()).gaps()).containsExactly(new Patch.Gap(1, 40, 49));
    }

    /** Whatever is addressed by itself shares nothing, and begins with a button where there are some. */
    @Property(tries = 60)
    void addressesByThemselvesNeverOverlap(
            @ForAll @IntRange(min = 1, max = 40) int small,
            @ForAll @IntRange(min = 0, max = 40) int large,
            @ForAll boolean hasPages) {
        Optional<DeskPages> pages = hasPages ? Optional.of(new DeskPages(192, 16, 8)) : Optional.empty();
        Lights lights = new Patch(lights(small, "3 slots"), pages).addressed();
        for (int i = 0; i < large; i++) {
            Fixture more = fixture("Bar " + i, "colour-bar-four-cells", "14 slots")
                    .withAddress(Optional.of(new Patch(lights, pages).free(14)));
            lights = lights.withFixtures(
                    Stream.concat(lights.fixtures().stream(), Stream.of(more)).toList());
        }
        Patch patch = new Patch(lights, pages);
        assertThat(patch.shared()).isEmpty();
        assertThat(patch.beside())
                .as("its buttons reach one universe")
                .allMatch(fixture -> fixture.at().orElseThrow().universe() > 1);
        assertThat(new Patch(patch.addressed(), pages).shared()).isEmpty();
    }

    /** 18 lamps of 180 W at 230 V draw 14.1 A: arithmetic. */
    @Test
    void whatHangsDrawsAndWeighs() {
        Load load = Load.of(new Lights(
                Fixtures.all(),
                IntStream.rangeClosed(1, 18)
                        .mapToObj(n -> fixture("Lantern " + n, "lantern", "1 slot"))
                        .toList(),
                List.of(),
                List.of(),
                List.of()));
        assertThat(load).isEqualTo(new Load(3240, 198, 54));
        assertThat(load.amperes(230)).isCloseTo(14.1, within(0.05));
    }

    /** 8 steps of 0.75 s beside 84 quarters a minute in 4/4: 6.000 s, 0.286 s behind after 2 bars. Arithmetic. */
    @ParameterizedTest
    @CsvSource({"8, 750, 2857143, 2, 285714", "4, 500, 2000000, 1, 0", "3, 500, 2000000, 1, -500000"})
    void aChaseRunsBesideTheMusic(int steps, int stepMillis, long bar, long bars, long micros) {
        Chase chase = new Chase(
                new ChaseId("squall"),
                new TapeLabel("Squall"),
                Collections.nCopies(steps, new LookId("storm")),
                new Pace.Timed(stepMillis),
                Optional.empty());
        assertThat(chase.roundMicros(Pace.ANY_TEMPO)).isEqualTo(steps * stepMillis * 1000L);
        assertThat(chase.beside(bar, Pace.ANY_TEMPO)).isEqualTo(new Chase.Drift(bars, micros));
    }

    /** At 84 quarters a minute a beat lasts 60/84 s = 0.714286 s. Arithmetic. */
    @ParameterizedTest
    @CsvSource(nullValues = "-", textBlock = """
            0.75           | 0.75 s        | 750000
            '0,75 s'       | 0.75 s        | 750000
            0.75 s tapped  | 0.75 s tapped | 750000
            1 beat         | 1 beat        | 714286
            1/2 beat       | 1/2 beat      | 357143
            1.5 beats      | 1.5 beats     | 1071429
            4 Beats        | 4 beats       | 2857143
            By sound       | by sound      | 500000
            soon           | -             | 0
            1/0 beat       | 1 beat        | 714286
            0              | A step of a chase lasts 0.02 to 600 s, not 0 s. | 0
            100 beats      | -             | 0
            99 beats       | A step lasts 1/4 to 64 beats. | 0
            """, delimiter = '|')
    void pacesAreTyped(String typed, @Nullable String words, long micros) {
        if (words != null && words.endsWith(".")) {
            assertThatThrownBy(() -> Pace.parse(typed)).hasMessage(words);
            return;
        }
        Optional<Pace> pace = Pace.parse(typed);
        assertThat(pace.map(Pace::words)).isEqualTo(Optional.ofNullable(words));
        assertThat(pace.flatMap(read -> Pace.parse(read.words()))).isEqualTo(pace);
        assertThat(pace.map(read -> read.micros(new Tempo(84_000))).orElse(0L)).isEqualTo(micros);
    }

    @Test
    void aLookShowsWhatItsWordsMean() {
        Lights four = lights(4, "3 slots");
        Look look = new Look(
                new LookId("harbour"),
                new TapeLabel("Harbour"),
                LookText.of("all: warm 20 %\npars: red and blue 100 %\nPar 4: dark")
                        .lines(),
                0);
        assertThat(four.withLooks(List.of(look)).shown(look))
                .extracting(Output::slots)
                .containsExactly(List.of(255, 0, 0), List.of(0, 0, 255), List.of(255, 0, 0), List.of(0, 0, 0));
    }

    private static List<String> starts(Lights lights) {
        return lights.fixtures().stream()
                .map(fixture -> fixture.at().orElseThrow().toString())
                .toList();
    }

    private static Lights at(Lights lights, int index, String address) {
        return lights.withFixtures(IntStream.range(0, lights.fixtures().size())
                .mapToObj(i -> i == index
                        ? lights.fixtures().get(i).withAddress(Optional.of(Address.parse(address)))
                        : lights.fixtures().get(i))
                .toList());
    }

    private static Lights lights(int count, String mode) {
        return new Lights(
                Fixtures.all(),
                IntStream.rangeClosed(1, count)
                        .mapToObj(n -> fixture("Par " + n, "small-par-three-colours", mode))
                        .toList(),
                List.of(),
                List.of(),
                List.of());
    }

    private static Fixture fixture(String name, String type, String mode) {
        return new Fixture(
                new FixtureId(Slug.of(name)),
                new TapeLabel(name),
                new FixtureTypeId(type),
                new TapeLabel(mode),
                new TapeLabel("Pars"),
                Optional.empty(),
                Hang.MIDDLE);
    }
}
