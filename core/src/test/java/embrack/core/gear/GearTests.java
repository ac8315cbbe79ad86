package embrack.core.gear;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.Mixers;
import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.ChartWords;
import embrack.core.chart.MessageMemory;
import embrack.core.gear.library.Library;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.RealTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GearTests {

    private static final Model MIXER = Library.RACK_MIXER;
    private static final Channel ONE = new Channel(1);

    @ParameterizedTest
    @CsvSource({
        "mute:input-1,  CC 40 value 127",
        "open:input-1,  CC 40 value 0",
        "mute:input-16, CC 55 value 127",
        "open:return-1, CC 56 value 0",
        "mute:bus-3,    CC 62 value 127",
        "mute:main,     CC 63 value 127",
    })
    void chartRowsStepFromLeftToRight(String action, String message) {
        assertThat(MIXER.messagesFor(Action.parse(action), ONE).orElseThrow())
                .extracting(ChartWords::of)
                .containsExactly(message);
    }

    @ParameterizedTest
    @CsvSource({"40, 64, mute:input-1", "40, 63, open:input-1", "63, 127, mute:main", "39, 127, ", "64, 127, "})
    void reactionsHoldForWholeRangesOfValues(int controller, int value, String action) {
        List<String> done = MIXER
                .implementation()
                .reactionsTo(new Message.ControlChange(new Channel(9), controller, value), MessageMemory.NOTHING, true)
                .stream()
                .map(Action::key)
                .toList();
        assertThat(done).isEqualTo(action == null ? List.of() : List.of(action));
    }

    @Test
    void aBoxObeysItsChartToTheLetterUnlessItIsKnownToDoElse() {
        assertThat(Mixers.chartOnly().contradictedActions()).isEmpty();
        assertThat(Mixers.chartOnly()
                        .implementation()
                        .reactionsTo(new Message.ControlChange(ONE, 40, 126), MessageMemory.NOTHING, true))
                .isEmpty();
        assertThat(Mixers.swappedChart().contradictedActions()).hasSize(48);
        assertThat(Mixers.swappedChart().withChartCorrected().contradictedActions())
                .isEmpty();
        assertThat(Mixers.swappedChart().withChartCorrected().chart().rows())
                .isEqualTo(MIXER.chart().rows());
        assertThat(Mixers.deafBeyondInputs().contradictedActions()).hasSize(16);
    }

    @Test
    void habitsDecideWhatAReleaseDoes() {
        Implementation patient = Implementation.of(Chart.of("toggle Scene 1..8: note 6..13"));
        Implementation nervous = patient.with(new Quirks(false, true, false, 0, false));
        for (Message release : List.of(new Message.NoteOff(ONE, 7, 64), new Message.NoteOn(ONE, 7, 0))) {
            assertThat(patient.reactionsTo(release, MessageMemory.NOTHING, true))
                    .isEmpty();
            assertThat(nervous.reactionsTo(release, MessageMemory.NOTHING, true))
                    .containsExactly(Action.parse("toggle:scene-2"));
        }
        assertThat(new Quirks(true, true, true, 16, true).words())
                .hasSize(5)
                .allSatisfy(words -> assertThat(words).endsWith("."));
    }

    @Test
    void modelsThatContradictThemselvesAreRefused() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> MIXER.withImplementation(Implementation.of(Chart.of("mute Main: cc 1")))
                        .withSurface(Library.FOUR_SWITCH_FLOOR_BOARD.surface()))
                .withMessage(
                        "a setting for the send channel is missing: its switches send on the one channel of the box");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new SharedSocket(MIXER.name(), List.of(new PortId("a")), 1))
                .withMessage("a shared socket has two uses or more, was 1");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Action.parse("shout:input-1"))
                .withMessageStartingWith("\"shout\" is none of the verbs mute, open, toggle-mute, on, off");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Action.parse("level:main"))
                .withMessage("\"level\" needs an amount, 0 to 127");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Action.parse("mute:main:5"))
                .withMessage("\"mute\" takes no amount");
    }

    @Test
    void boardsShowMessagesInTheirOwnNumbers() {
        Board board = Library.FOUR_SWITCH_FLOOR_BOARD.board().orElseThrow();
        assertThat(ShownMessage.on(board, new Message.ControlChange(new Channel(2), 18, 127)))
                .isEqualTo(new ShownMessage("CC", "2", "18", "127", "B1 12 7F", "127 reads 2.7"));
        assertThat(ShownMessage.on(board, new Message.ProgramChange(new Channel(16), 0))
                        .line())
                .isEqualTo("ch 16  PC 1");
        assertThat(ShownMessage.on(board, new Message.ControlChange(new Channel(2), 104, 100))
                        .reads())
                .isEqualTo("104 reads 0.4 and 100 reads 0.0");
        assertThat(ShownMessage.on(board, new Message.ControlChange(new Channel(2), 18, 99))
                        .reads())
                .isEmpty();
        assertThat(ShownMessage.on(board, RealTime.START).line()).isEqualTo("start");
    }
}
