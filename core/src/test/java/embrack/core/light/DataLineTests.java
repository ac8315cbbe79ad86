package embrack.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embrack.core.Sketch;
import embrack.core.edit.FixtureEdit;
import embrack.core.name.TapeLabel;
import embrack.core.sheet.PackList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Data and mains along a row of lamps. */
class DataLineTests {

    private static Sketch rows() {
        return Sketch.of("Rows")
                .edit(new FixtureEdit.AddFixtures(new FixtureTypeId("colour-bar-one-piece"), "4", "Bars"))
                .edit(new FixtureEdit.AddFixtures(new FixtureTypeId("lantern"), "3", "Lanterns"));
    }

    /**
     * Bars hang 2.67 m apart, which takes a cable of 5 m with a metre to spare; from the end of the first row data goes
     * back along the second. Arithmetic.
     */
    @Test
    void goesToAndFro() {
        List<DataLine> lines = DataLine.of(rows().plan().lights());
        assertThat(lines).singleElement().satisfies(line -> {
            assertThat(line.fixtures())
                    .extracting(Fixture::name)
                    .map(TapeLabel::text)
                    .containsExactly("Bar 1", "Bar 2", "Bar 3", "Bar 4", "Lantern 3", "Lantern 2", "Lantern 1");
            assertThat(line.cables()).containsExactly(5, 5, 5, 3, 5, 5);
            assertThat(line.metres()).isEqualTo(28);
            assertThat(line.isTooLong()).isFalse();
        });
        assertThat(PackList.of(rows().plan()).cases().getLast().items())
                .extracting(item -> "%d %s".formatted(item.count(), item.what()))
                .contains("4 Colour bar, one piece", "5 DMX cable, 5 m", "1 DMX cable, 3 m", "1 terminator, 120 ohm");
    }

    /** 18 lamps of 180 W at 230 V draw 14.1 A: more than four fifths of 16 A, so two circuits. Arithmetic. */
    @Test
    void circuitsAreFilledToFourFifths() {
        Lights lights = Sketch.of("Lamps")
                .edit(new FixtureEdit.DescribeFixture(
                        "Big par", "shape: par\nemits: white\nmode 1 slot: dimmer\npower: 180 W, inrush 20 A"))
                .edit(new FixtureEdit.AddFixtures(new FixtureTypeId("big-par"), "18", "Pars"))
                .plan()
                .lights();
        assertThat(Load.of(lights).amperes(230)).isCloseTo(14.1, within(0.05));
        Circuits circuits = Circuits.of(lights, 16, 230);
        assertThat(Circuits.limit(16)).isCloseTo(12.8, within(1e-9));
        assertThat(circuits.amperes()).hasSize(2).allMatch(amperes -> amperes <= 12.8);
        assertThat(circuits.amperes().getFirst()).isCloseTo(16 * 180 / 230.0, within(1e-9));
        assertThat(circuits.inrush()).containsExactly(320.0, 40.0);
    }
}
