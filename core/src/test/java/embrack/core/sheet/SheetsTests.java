package embrack.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MuteBoard;
import embrack.core.Sketch;
import embrack.core.WiringFaults;
import embrack.core.check.Report;
import embrack.core.edit.SwitchEdit;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import java.util.List;
import org.junit.jupiter.api.Test;

class SheetsTests {

    private final List<Sheet> sheets =
            Sheets.of(Report.of(MuteBoard.with(new SwitchEdit.NameSwitch(MuteBoard.at(2), "Voice dry"))));

    @Test
    void receiversComeFirstThenCablesThenBoardsThenTheFirstTry() {
        assertThat(sheets)
                .extracting(Sheet::title)
                .containsExactly(
                        "Vocal mixer", "Cables", "Switch on, in this order", "Voice board", "Try every switch");
        assertThat(Sheets.of(Report.of(Plan.empty(new TapeLabel("Nothing"))))).isEmpty();
    }

    @Test
    void theMixersSheetSaysItsChannelAndTape() {
        assertThat(sheets.getFirst().sections())
                .extracting(Section::heading)
                .containsExactly("Set on the box", "Tape on the strips");
        assertThat(sheets.getFirst().lines())
                .extracting(Section.Line::words)
                .containsExactly(
                        "Set MIDI receive channel to 2.",
                        "Input 1: Vocal mic",
                        "Return 1: Vocal reverb return",
                        "Return 2: Vocal delay return");
    }

    @Test
    void theBoardsSheetGoesSwitchBySwitchMessageByMessage() {
        Sheet board = sheets.get(3);
        assertThat(board.hardware())
                .isEqualTo("Four-switch floor board; shows values on two digits; a point between them adds a hundred");
        assertThat(board.sections())
                .extracting(Section::heading)
                .containsExactly(
                        "Set on the box",
                        "Bank A, switch 1",
                        "Bank A, switch 2: Voice dry",
                        "Bank A, switch 3",
                        "Bank A, switch 4",
                        "Keep it");
        Section.Messages dry = (Section.Messages) board.sections().get(2);
        assertThat(dry.lines())
                .extracting(l -> "%d. %s = %s, %s, %s"
                        .formatted(
                                l.number(),
                                l.message().line(),
                                l.message().bytes(),
                                l.message().reads(),
                                l.does()))
                .containsExactly(
                        "1. ch 2  CC 56  127 = B1 38 7F, 127 reads 2.7, Vocal mixer: mute Vocal reverb return",
                        "2. ch 2  CC 57  127 = B1 39 7F, 127 reads 2.7, Vocal mixer: mute Vocal delay return");
    }

    @Test
    void whatIsNotProvenIsSaidOnTheSheet() {
        List<Sheet> dead = Sheets.of(Report.of(MuteBoard.with(MuteBoard.receive(MuteBoard.MIXER, 5))));
        assertThat(dead.get(3).sections()).extracting(Section::heading).contains("Bank A, switch 3 (not proven: dead)");
        assertThat(dead.getLast().lines())
                .extracting(Section.Line::words)
                .contains("Voice board, bank A, switch 3. Vocal mixer: mute Vocal mic (not proven: dead).");
    }

    @Test
    void theFirstTryWarnsBeforeAMicIsOpened() {
        assertThat(sheets.getLast().cautions()).singleElement().asString().contains("howl");
        assertThat(sheets.getLast().lines())
                .extracting(Section.Line::words)
                .contains("Voice board, bank A, switch 3. Vocal mixer: mute Vocal mic.");
    }

    @Test
    void boxesWithNothingToSetHaveNoSheet() {
        Sketch sketch = Sketch.of("Loops")
                .box("Merger", "merger-2-to-1")
                .box("Keys", "small-scene-desk")
                .set("keys", "receive-channel", "4");
        assertThat(Sheets.of(Report.of(sketch.plan()))).extracting(Sheet::title).containsExactly("Keys");
        assertThat(Sheets.of(Report.of(sketch.plan())).getFirst().lines())
                .extracting(Section.Line::words)
                .containsExactly("Set MIDI receive channel to 4.");
    }

    /** A pair stands on one page: where each runs, what brings the other in, what differs, and the way back. */
    @Test
    void aPairHasAPageWithTheWayBack() {
        Plan plan = WiringFaults.all().stream()
                .filter(fault -> fault.name().equals("buffers-of-a-pair"))
                .findFirst()
                .orElseThrow()
                .faulty();
        Sheet pair = Sheets.of(Report.of(plan)).stream()
                .filter(sheet -> sheet.title().contains(" beside "))
                .findFirst()
                .orElseThrow();
        assertThat(pair.sections())
                .extracting(Section::heading)
                .containsExactly("Beside each other", "When one has failed: going back", "Quiet moments in the order");
        assertThat(pair.lines().map(Section.Line::words))
                .contains("Not alike, Buffer: 128 samples for Player A, 256 samples for Player B.")
                .anyMatch(line -> line.startsWith("Choose the sound device in it again"))
                .anyMatch(line -> line.startsWith("No box guards them: "));
        assertThat(pair.cautions()).isNotEmpty();
    }
}
