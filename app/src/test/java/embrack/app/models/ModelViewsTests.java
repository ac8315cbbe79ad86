package embrack.app.models;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.chart.Chart;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ModelViewsTests {

    private static final String BOX = "port MIDI IN: 5-pin in\nsetting MIDI receive channel: 1..16, factory 1";

    /**
     * A chart, and for its first problem: what stands before the marked piece, the piece, and where it is in the text.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "mute Input 1..16: cc 40..54         | 'mute Input 1..16: cc ' | 40..54 | 21",
                "# remark~mutte Input 1: cc 40       | ''                      | mutte  | 9",
                "~~mute Main: cc 128                 | 'mute Main: cc '        | 128    | 16",
                "mute Main cc 1                      | 'mute '                 | Main cc 1 | 5",
            })
    void aRemarkMarksItsPlaceInTheLineAndInTheText(String chart, String before, String marked, int from) {
        String text = chart.replace('~', '\n');
        EditorPage.Reading reading = reading(BOX, text);
        EditorPage.Remark remark = reading.chart().getFirst();
        assertThat(reading.hasErrors()).isTrue();
        assertThat(remark.split().before()).isEqualTo(before);
        assertThat(remark.split().marked()).isEqualTo(marked);
        assertThat(remark.reach().from()).isEqualTo(from);
        assertThat(text.substring(remark.reach().from(), remark.reach().to())).isEqualTo(marked);
        assertThat(remark.tone()).isEqualTo("stop");
    }

    @Test
    void whatDoesNotGoTogetherIsSaidOfTheWhole() {
        EditorPage.Reading reading =
                reading("port MIDI IN: 5-pin in", "mute Main: cc 1 over 63\nopen Main: cc 1 under 64");
        assertThat(reading.whole())
                .isEqualTo("Box and chart do not go together yet: a setting for the receive channel is missing:"
                        + " its chart is for the channel that the box is set to. Add this line to the "
                        + "box: setting MIDI receive channel: 1..16, factory 1");
        assertThat(reading.hasErrors()).isTrue();
        assertThat(reading(BOX, "mute Main: cc 1 over 63\nopen Main: cc 1 under 64")
                        .hasErrors())
                .isFalse();
    }

    @Test
    void rowsOfReadableLinesAreShownBesideTheMistakesOfOthers() {
        EditorPage.Reading reading = reading(BOX, "recall Scene 1..4: note 0..3\nrecal Scene 5: note 4");
        assertThat(reading.rowCount()).isEqualTo(4);
        assertThat(reading.rows().rows())
                .extracting(r -> r.verb() + " " + r.part())
                .startsWith("recall Scene 1");
        assertThat(reading.drawing().shapes())
                .filteredOn(s -> s.css().equals("cell"))
                .hasSize(4);
        assertThat(reading.trial().exampleAction()).isEqualTo("recall Scene 1");
        assertThat(reading.trial().exampleMessage()).isEqualTo("90 00 7F");
    }

    @Test
    void aRowIsShownInTheManualsNumbersWithWhatElseTheyAreCalled() {
        ChartView view = ChartView.of(
                Chart.of("programs from 1\nmiddle C is C3\nrecall Scene 1: note 60\nselect Patch 1: cc 0 = 1 "
                        + "+ pc 8\nmute Main: cc 7 over 63 on channel 9\nplay Tracks: mmc play"));
        assertThat(view.rows().stream().flatMap(r -> r.messages().stream()))
                .extracting(c -> String.join("|", c.type(), c.number(), c.name(), c.values(), c.bytes()))
                .containsExactly(
                        "note|60|C3|any value|90 3C 7F",
                        "CC|0|bank select|value 1|B0 00 01",
                        "PC|8|sent as 7||C0 07",
                        "CC|7|channel volume|64 to 127 on channel 9|B8 07 7F",
                        "SysEx||||F0 7F 7F 06 02 F7");
        assertThat(ChartView.of(Chart.of("recall Scene 1: note 60"))
                        .rows()
                        .getFirst()
                        .messages()
                        .getFirst()
                        .name())
                .isEqualTo("C3, C4 or C5");
        assertThat(view.rows().get(1).messages().getFirst().caution()).startsWith("0 is bank select");
        assertThat(view.rowsFitAPage()).isTrue();
        assertThat(ChartView.of(shipped("floor-modeller").chart()).rowsFitAPage())
                .isFalse();
    }

    @Test
    void aTrialAnswersBothWaysAndSaysWhatItCannotRead() {
        Chart chart = shipped("scene-desk").chart();
        TrialView tried = TrialView.of(chart, "toggle Scene 1..2", "90 2E 7F");
        assertThat(tried.sent())
                .extracting(TrialView.Line::words)
                .containsExactly("toggle Scene 1: note 6 value 127", "toggle Scene 2: note 7 value 127");
        assertThat(tried.done()).extracting(TrialView.Line::words).containsExactly("toggle Blackout");
        TrialView wrong = TrialView.of(chart, "explode", "hello");
        assertThat(wrong.pressProblem()).startsWith("\"explode\" is no verb of a chart");
        assertThat(wrong.arriveProblem()).startsWith("\"hello\" is no message");
        assertThat(TrialView.of(chart, "", "90 7F 7F").done())
                .extracting(TrialView.Line::words)
                .containsExactly("means nothing to this box");
    }

    @Test
    void modelsAreListedByKindOrByAnswer() {
        List<Model> all = Library.all();
        ModelsPage byKind = ModelsPage.of(List.of(shipped("merger-2-to-1")), all, "", "");
        assertThat(byKind.groups())
                .extracting(ModelsPage.Group::heading)
                .startsWith("Yours", "Floor boards", "Fader boxes", "Keyboards and pads")
                .doesNotHaveDuplicates();
        assertThat(byKind.groups().stream().mapToInt(g -> g.cards().size()).sum())
                .isEqualTo(all.size());
        ModelsPage asked = ModelsPage.of(List.of(), all, "", "program table");
        assertThat(asked.groups()).extracting(ModelsPage.Group::heading).containsExactly("These can", "These cannot");
        assertThat(asked.groups().getFirst().cards())
                .allMatch(card -> !card.because().isEmpty());
        ModelsPage wrong = ModelsPage.of(List.of(), all, "", "fly");
        assertThat(wrong.problem()).startsWith("\"fly\" is not understood");
        assertThat(wrong.groups()).isNotEmpty();
        assertThat(ModelsPage.of(List.of(), all, "MIXER rack", "").groups())
                .singleElement()
                .satisfies(g -> assertThat(g.cards()).hasSize(1));
        assertThat(ModelsPage.of(List.of(), all, "zebra", "").groups()).isEmpty();
    }

    @Test
    void aModelsPageSaysEverythingInWords() {
        ModelPage board = ModelPage.of(shipped("ten-switch-factory-board"), List.of());
        assertThat(board.surface())
                .contains("Cannot be programmed: sends CC 80, 81, 82, 83, 84, 85, 86, 87, 88, 102 as they come "
                        + "from the factory. Switch 10 breaks the sequence.");
        ModelPage tablet = ModelPage.of(shipped("tablet"), List.of());
        assertThat(tablet.sockets().shared())
                .containsExactly(
                        "The only socket is for Socket, Power, Headphones left and Headphones right: 1 at once.");
        assertThat(tablet.sockets().ports())
                .contains("Power: power", "Headphones left: audio, out", "Socket: USB host, both ways; gives 100 mA");
        assertThat(ModelPage.of(shipped("tablet-track-player"), List.of())
                        .obeys()
                        .safe())
                .isEqualTo("stop Tracks");
        assertThat(ModelPage.of(shipped("merger-2-to-1"), List.of()).sockets().passes())
                .containsExactly("IN 1 to OUT", "IN 2 to OUT");
        assertThat(ModelPage.of(shipped("linear-timeline-player"), List.of())
                        .sockets()
                        .passes())
                .containsExactly("In to Out, off in a new one");
        ModelPage loop = ModelPage.of(shipped("loop-table-five-tracks"), List.of());
        assertThat(ModelPage.of(shipped("keyboard-workstation"), List.of())
                        .set()
                        .inMemory())
                .hasSize(4);
        assertThat(loop.memory().memories()).isEqualTo("99 memories");
        assertThat(loop.habits()).containsExactly("Has 16 inputs to assign messages to, in each memory its own.");
        assertThat(loop.head().isCrews()).isFalse();
    }

    @ParameterizedTest
    @ValueSource(strings = {"keyboard-workstation", "fader-box-8-by-4", "ten-switch-treadle-board", "pads-and-keys"})
    void drawnControlsAreAsManyAsThereAre(String id) {
        Model model = shipped(id);
        ModelDrawing drawing = ModelDrawing.of(model.sockets(), model.surface(), model.parts());
        int switches = model.board().map(b -> b.switches()).orElse(0);
        assertThat(drawing.shapes()).filteredOn(s -> s.css().equals("switch")).hasSize(switches);
        assertThat(drawing.shapes())
                .filteredOn(s -> s.css().startsWith("socket"))
                .hasSameSizeAs(model.sockets().ports());
        model.surface().groups().forEach(group -> {
            String css =
                    switch (group.type()) {
                        case KNOB -> "knob";
                        case FADER -> "cap";
                        case PAD -> "pad";
                        case TREADLE -> "treadle";
                        default -> "white";
                    };
            long drawn =
                    drawing.shapes().stream().filter(s -> s.css().equals(css)).count();
            // An octave of twelve keys has seven white ones; the rest are drawn on top.
            assertThat(drawn)
                    .isEqualTo(
                            css.equals("white")
                                    ? IntStream.range(0, group.count())
                                            .filter(i ->
                                                    !List.of(1, 3, 6, 8, 10).contains(i % 12))
                                            .count()
                                    : group.count());
        });
    }

    private static EditorPage.Reading reading(String box, String chart) {
        return EditorPage.reading(new EditorPage.Draft("Draft", "mixer", box, chart, ""), "", "");
    }

    private static Model shipped(String id) {
        return Library.find(new ModelId(id)).orElseThrow();
    }
}
