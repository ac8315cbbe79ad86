package embrack.core.gear;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.Mixers;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.FieldSource;

class GearTests {

    private static final Model MIXER = Library.RACK_MIXER;

    @SuppressWarnings("unused")
    private static final List<Model> SHIPPED = Library.all();

    @ParameterizedTest
    @CsvSource({
        "' Vocal   mixer ', Vocal mixer",
        "Lantern desk 2, Lantern desk 2",
        "Ærø & Ñandú, Ærø & Ñandú",
    })
    void labelsAreTidied(String typed, String label) {
        assertThat(TapeLabel.parse(typed).text()).isEqualTo(label);
    }

    @Test
    void labelsThatDoNotFitOnTapeAreRefusedInPlainWords() {
        assertRefused("", "Write a name; it is empty.");
        assertRefused(" \t ", "Write a name; it is empty.");
        assertRefused("x".repeat(10_000), "A name has at most 40 characters; this one has 10000.");
        assertRefused("<b>Loud</b>", "Leave out < and >; a name is plain text.");
        assertRefused("Two\nlines", "Leave out control characters; a name is one line of plain text.");
        assertRefused("turned \u202Earound", "Leave out control characters; a name is one line of plain text.");
    }

    private static void assertRefused(String typed, String message) {
        assertThatIllegalArgumentException().isThrownBy(() -> TapeLabel.parse(typed)).withMessage(message);
    }

    @ParameterizedTest
    @FieldSource("SHIPPED")
    void everyShippedChartDoesWhatItSays(Model model) {
        assertThat(model.contradictedActions()).isEmpty();
        assertThat(model.actions()).map(model::messageFor).doesNotHaveDuplicates();
        assertThat(Library.find(model.id())).contains(model);
        assertThat(model.withChartFromReactions()).isEqualTo(model);
    }

    @ParameterizedTest
    @CsvSource({
        "mute:in-1,     40, 127",
        "open:in-1,     40, 0",
        "mute:in-16,    55, 127",
        "open:return-1, 56, 0",
        "mute:bus-3,    62, 127",
        "mute:main,     63, 127",
    })
    void chartRunsStepFromLeftToRight(String action, int controller, int value) {
        assertThat(MIXER.messageFor(Action.parse(action)))
                .contains(new MessageTemplate(MessageType.CONTROL_CHANGE, controller, value));
    }

    @ParameterizedTest
    @CsvSource({"40, 64, mute:in-1", "40, 63, open:in-1", "63, 127, mute:main", "39, 127, ", "64, 127, "})
    void reactionsHoldForWholeRangesOfValues(int controller, int value, String action) {
        List<String> done = MIXER.reactionsTo(new Message.ControlChange(new Channel(9), controller, value)).stream().map(Action::key).toList();
        assertThat(done).isEqualTo(action == null ? List.of() : List.of(action));
    }

    @Test
    void aBoxWithoutReactionsObeysItsChartToTheLetter() {
        Model box = Mixers.chartOnly();
        assertThat(box.contradictedActions()).isEmpty();
        assertThat(box.reactionsTo(new Message.ControlChange(new Channel(1), 40, 126))).isEmpty();
    }

    @Test
    void aSwappedChartIsContradictedAndCanBeCorrected() {
        assertThat(Mixers.swappedChart().contradictedActions()).hasSize(48);
        assertThat(Mixers.swappedChart().withChartFromReactions()).isEqualTo(MIXER);
        assertThat(Mixers.deafBeyondInputs().contradictedActions()).hasSize(16);
    }

    @Test
    void runsThatLeaveTheBoxOrTheNumbersAreRefused() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new ChartRun(Verb.MUTE, new PartId("in-1"), 24, MessageType.CONTROL_CHANGE, 110, 127))
                .withMessage("a run of 24 numbers from 110 leaves 0 to 127");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new ReactionRun(Verb.MUTE, new PartId("in-1"), 1, MessageType.NOTE_ON, 1, 64, 63))
                .withMessage("values run from low to high, was 64 to 63");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new ChartRun(Verb.MUTE, new PartId("in-1"), 1, MessageType.PITCH_BEND, 1, 0))
                .withMessage("a chart uses notes, control changes and program changes, not pitch bends");
        assertThatIllegalArgumentException().isThrownBy(() -> Action.parse("shout:in-1"))
                .withMessage("\"shout\" is none of the verbs mute, open and toggle-mute");
    }

    @Test
    void boardsShowMessagesInTheirOwnNumbers() {
        Board board = Library.FOUR_SWITCH_FLOOR_BOARD.board().orElseThrow();
        assertThat(ShownMessage.on(board, new Message.ControlChange(new Channel(2), 18, 127)))
                .isEqualTo(new ShownMessage("CC", 2, "18", "127", "B1 12 7F", "127 reads 2.7"));
        assertThat(ShownMessage.on(board, new Message.ProgramChange(new Channel(16), 0)).line()).isEqualTo("ch 16  PC 1");
        assertThat(ShownMessage.on(board, new Message.ControlChange(new Channel(2), 104, 100)).reads()).isEqualTo("104 reads 0.4 and 100 reads 0.0");
        assertThat(ShownMessage.on(board, new Message.ControlChange(new Channel(2), 18, 99)).reads()).isEmpty();
    }
}
