package embrack.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MappingFaults;
import embrack.core.MuteBoard;
import embrack.core.Sketch;
import embrack.core.check.Report;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.ControlType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import embrack.core.switches.Practice;
import java.util.List;
import org.junit.jupiter.api.Test;

class ProgressTests {

    private static final List<Progress.Tick> ALL = Progress.allOf(Sheets.of(Report.of(MuteBoard.plan())));

    @Test
    void whatIsTickedAndSaysTheSameIsDone() {
        Progress progress = Progress.of(Sheets.of(Report.of(MuteBoard.plan())), ALL);
        assertThat(progress.left()).isEmpty();
        assertThat(progress.words()).isEqualTo("%d of %d done".formatted(ALL.size(), ALL.size()));
        assertThat(Progress.of(progress.sheets(), List.of()).left()).isEqualTo(progress.sheets());
    }

    /** One step more: one line to program, with nothing else to touch; and a channel that changed, with old and new. */
    @Test
    void afterAChangeOnlyWhatChangedIsLeftWithWhatItWas() {
        Plan more = MuteBoard.with(MuteBoard.add(3, "mute:input-2"));
        Progress progress = Progress.of(Sheets.of(Report.of(more)), ALL);
        assertThat(progress.left()).extracting(Sheet::title).containsExactly("Voice board", "Try every switch");
        assertThat(progress.left().getFirst().lines())
                .extracting(Section.Line::words)
                .containsExactly("ch 2 CC 41 127, for Vocal mixer: mute Input 2");

        Progress moved = Progress.of(Sheets.of(Report.of(MuteBoard.with(MuteBoard.receive(MuteBoard.MIXER, 5)))), ALL);
        Section.Line line = moved.left().getFirst().lines().findFirst().orElseThrow();
        assertThat(moved.state(line)).isEqualTo(Progress.State.CHANGED);
        assertThat(line.words()).isEqualTo("Set MIDI receive channel to 5.");
        assertThat(moved.tick(line).orElseThrow().words()).isEqualTo("Set MIDI receive channel to 2.");
    }

    @Test
    void whatIsOnNoSheetAnyMoreHasToBeTakenOut() {
        Progress progress =
                Progress.of(Sheets.of(Report.of(MuteBoard.with(new SwitchEdit.ClearSwitch(MuteBoard.at(4))))), ALL);
        assertThat(progress.gone())
                .extracting(Progress.Tick::words)
                .containsExactly(
                        "ch 2 CC 63 127, for Vocal mixer: mute Main",
                        "Voice board, bank A, switch 4. Vocal mixer: mute Main.");
    }

    @Test
    void inputsAreSetOnceAndWrittenIntoEachMemoryAndAChangeHasThemWrittenAnew() {
        Plan plan = new NumberEdit.UseMemories(new DeviceId("loop-table"), "1..3", "")
                .apply(MappingFaults.loops().plan());
        Sheet sheet = sheet(plan, "Loop table");
        assertThat(sheet.sections())
                .extracting(section -> section.lines().size())
                .containsExactly(1, 2, 4, 1);
        assertThat(sheet.sections().get(1).lines())
                .extracting(Section.Line::words)
                .containsExactly(
                        "Input 1: source CC 102, momentary, target record or play Track 1, low 0, high 127.",
                        "Input 2: source CC 103, momentary, target stop all Tracks, low 0, high 127.");
        List<Progress.Tick> done = Progress.allOf(List.of(sheet));
        Sheet changed = sheet(
                Sketch.on(plan).step("foot-board 4: loop-table undo:track-1").plan(), "Loop table");
        assertThat(Progress.of(List.of(changed), done).left().getFirst().lines())
                .as("one input more, three memories to write anew")
                .hasSize(4);
        Sheet used = sheet(
                new NumberEdit.UseMemories(new DeviceId("loop-table"), "1..3", "2, 40").apply(plan), "Loop table");
        assertThat(used.sections().get(2).lines())
                .extracting(Section.Line::words)
                .satisfiesExactly(
                        line -> assertThat(line).startsWith("Memories in use: 2, 40. Never write a template over them"),
                        line -> assertThat(line).startsWith("Memory 1: write template"),
                        line -> assertThat(line).startsWith("Memory 3: write template"),
                        line -> assertThat(line).startsWith("Memory 2, in use: set the inputs of"),
                        line -> assertThat(line).startsWith("Only looked at one? Leave it without writing"));
        Sheet each = sheet(new NumberEdit.Choose(Practice.MEMORIES, 1).apply(plan), "Loop table");
        assertThat(each.sections().get(2).lines().getFirst().words()).startsWith("Memory 1: set inputs ");
    }

    @Test
    void whatLearnsComesBehindWhatItLearnsFrom() {
        List<Sheet> sheets = Sheets.of(Report.of(MappingFaults.tracks().plan()));
        assertThat(sheets)
                .extracting(Sheet::title)
                .containsSubsequence("Vocal mixer", "Foot board", "Tracks learns", "Try every switch");
        Sheet learns = sheet(MappingFaults.tracks().plan(), "Tracks learns");
        assertThat(learns.lines().skip(1).findFirst().orElseThrow().words())
                .isEqualTo("play Tracks: choose \"learn\", then press Foot board, bank A, switch 5. It should "
                        + "say CC 102 on channel 3.");
        assertThat(learns.cautions()).singleElement().asString().contains("value 0");
    }

    @Test
    void aBoardsSheetSaysNamesModesGesturesWaitsAndTreadles() {
        Sketch side = Sketch.of("Side")
                .box("Side board", "eight-switch-long-press-board")
                .box("Vocal mixer", "rack-mixer-24")
                .link("side-board.out > vocal-mixer.in")
                .step("side-board 1: vocal-mixer mute:input-1")
                .then("side-board 1", Moment.HOLD, "vocal-mixer open:input-1")
                .edit(new SwitchEdit.NameSwitch(Sketch.at("side-board 1"), "Voice out"))
                .edit(new SwitchEdit.WaitBefore(
                        Sketch.at("side-board 1"), Moment.HOLD, 0, Sketch.stepOf("vocal-mixer open:input-1"), "400"));
        Sheet sheet = sheet(side.plan(), "Side board");
        assertThat(sheet.sections())
                .extracting(Section::heading)
                .contains("Bank 1, switch 1: Voice out", "Bank 1, switch 1, on press", "Bank 1, switch 1, on hold");
        assertThat(sheet.lines())
                .extracting(Section.Line::words)
                .contains(
                        "Name it \"Voice ot\".",
                        "Set it so that it sends the same at every press.",
                        "ch 1 CC 40 0, for after 400 ms: Vocal mixer: open Input 1");
        Sheet treadle = sheet(
                MappingFaults.sounds()
                        .move("foot-board", ControlType.TREADLE, "piano", "control-1", 10, 100)
                        .plan(),
                "Foot board");
        assertThat(treadle.lines())
                .extracting(Section.Line::words)
                .contains("CC 20 on channel 5, from 10 to 100, for Piano: level of Control 1");
    }

    @Test
    void theCardShowsTheSwitchesAsTheyLie() {
        SwitchCard card = SwitchCard.of(MappingFaults.loops().plan()).getFirst();
        assertThat(card.banks()).hasSize(1);
        assertThat(card.banks().getFirst().rows())
                .extracting(row -> row.getFirst().number())
                .as("the far row first")
                .containsExactly(6, 1);
        assertThat(card.banks().getFirst().rows().getFirst().getLast().isKill()).isTrue();
        assertThat(card.banks().getFirst().rows().getLast().get(2).does())
                .containsExactly("Loop table: record or play Track 1");
    }

    private static Sheet sheet(Plan plan, String title) {
        return Sheets.of(Report.of(plan)).stream()
                .filter(sheet -> sheet.title().equals(title))
                .findFirst()
                .orElseThrow();
    }
}
