package embrack.core.gear.library;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.chart.Action;
import embrack.core.chart.ChartReading;
import embrack.core.chart.ChartWriter;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.text.Box;
import embrack.core.gear.text.BoxReading;
import embrack.core.gear.text.BoxWriter;
import embrack.core.text.Problem;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;

class LibraryTests {

    @SuppressWarnings("unused")
    private static final List<Model> SHIPPED = Library.all();

    @Test
    void everyKindShipsAndNoIdTwice() {
        assertThat(SHIPPED).extracting(Model::kind).contains(Kind.values());
        assertThat(SHIPPED).extracting(Model::id).doesNotHaveDuplicates();
        assertThat(SHIPPED).extracting(Model::name).doesNotHaveDuplicates();
        assertThat(SHIPPED).hasSizeGreaterThan(30);
    }

    @ParameterizedTest
    @FieldSource("SHIPPED")
    void everyShippedChartDoesWhatItSays(Model model) {
        assertThat(model.chart().rows().stream().flatMap(row -> row.actions().stream()))
                .allSatisfy(action -> assertThat(model.implementation().reactionsToChart(action))
                        .containsExactly(action));
        assertThat(ChartReading.of(model.chart().text()).problems())
                .filteredOn(p -> p.level() != Problem.Level.NOTE)
                .isEmpty();
        assertThat(model.actions())
                .allSatisfy(action -> assertThat(Action.parse(action.key())).isEqualTo(action));
        assertThat(Library.find(model.id())).contains(model);
    }

    @ParameterizedTest
    @FieldSource("SHIPPED")
    void everyShippedModelCanBeWrittenAndReadAgain(Model model) {
        Box box = Box.of(model);
        assertThat(BoxReading.of(BoxWriter.write(box)).box())
                .as(BoxWriter.write(box))
                .contains(box);
        ChartReading again = ChartReading.of(ChartWriter.write(
                model.chart().conventions(),
                model.chart().rows(),
                model.chart().learnables(),
                model.chart().beside()));
        assertThat(again.errors()).isEmpty();
        assertThat(again.chart().orElseThrow().rows()).isEqualTo(model.chart().rows());
        assertThat(again.chart().orElseThrow().learnables())
                .isEqualTo(model.chart().learnables());
        assertThat(again.chart().orElseThrow().beside()).isEqualTo(model.chart().beside());
    }

    /** A setting that would change what happens and is not simulated is a fault of the model. */
    @ParameterizedTest
    @FieldSource("SHIPPED")
    void everySettingSaysWhatItChanges(Model model) {
        assertThat(model.settings())
                .allSatisfy(setting -> assertThat(setting.purpose().isPresent()
                                || setting.besides().isPresent()
                                || model.memory().conditions().stream()
                                        .anyMatch(
                                                condition -> condition.setting().equals(setting.id())))
                        .as("%s of %s", setting.name(), model.name())
                        .isTrue());
    }

    @Test
    void boardsHaveTheHabitsThatSurprisePeople() {
        assertThat(shipped("ten-switch-factory-board")
                        .board()
                        .orElseThrow()
                        .factory()
                        .fixed()
                        .getFirst()
                        .breaksAt())
                .isEqualTo(10);
        assertThat(shipped("pads-and-keys").surface().groups())
                .anySatisfy(g -> assertThat(g.channel()).isPresent());
        assertThat(Stream.of("loop-table-five-tracks", "keyboard-workstation").map(LibraryTests::shipped))
                .allSatisfy(m -> assertThat(m.writing()).isPresent())
                .allSatisfy(m -> assertThat(m.memory().memories()).isGreaterThan(90));
    }

    private static Model shipped(String id) {
        return SHIPPED.stream()
                .filter(m -> m.id().text().equals(id))
                .findFirst()
                .orElseThrow();
    }
}
