package embrack.core.compile;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.chart.Learned;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Told;
import embrack.core.edit.NumberEdit;
import embrack.core.gear.ControlType;
import embrack.core.gear.Kind;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheets;
import embrack.core.sim.Verdict;
import embrack.core.switches.Practice;
import embrack.core.switches.SwitchAt;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a factory chose, in the numbers that are sent, learned and printed. */
class FactoryNumbersTests {

    private static Sketch loops() {
        return Sketch.of("Loops")
                .box("Board", "ten-switch-factory-board")
                .box("Loops", "loop-table-five-tracks")
                .link("board.out > loops.in");
    }

    @Test
    void whatCannotBeProgrammedIsLearnedAndNeverAskedFor() {
        Plan plan = loops().step("board 1: loops record:track-1", "board 10: loops stop-all:tracks")
                .move("board", ControlType.TREADLE, "loops", "track-1", 0, 127)
                .plan();
        assertThat(plan.rig().device(new DeviceId("loops")).learned().values())
                .extracting(learned -> learned.type().shortName() + " " + learned.number())
                .containsExactlyInAnyOrder("CC 80", "CC 102", "CC 27");
        Report report = Report.of(plan);
        assertThat(report.proofs()).allMatch(proof -> proof.verdict() == Verdict.EXACT);
        assertThat(report.controlAssignments()).allMatch(proof -> proof.verdict() == Verdict.EXACT);
        assertThat(words(plan, "Board"))
                .contains("Sends CC 80 by itself; nothing to program.", "Sends CC 102 by itself; nothing to program.")
                .anyMatch(line -> line.startsWith("By itself, nothing to program: CC 27"));
    }

    @Test
    void aControlWithANumberOfItsOwnMovesNothingElse() {
        Plan plan = Sketch.of("Layers")
                .box("Board", "ten-switch-factory-board")
                .box("Screens", "projection-server")
                .link("board.out > screens.in")
                .set("screens", "receive-channel", "1")
                .move("board", ControlType.TREADLE, "screens", "layer-1", 0, 127)
                .plan();
        assertThat(Report.of(plan).findings())
                .filteredOn(finding -> finding.code().equals("controls.stopped"))
                .extracting(finding -> Told.of(finding, plan).what())
                .containsExactly(
                        "On Board, expression pedal 1 sends CC 27, as its factory chose, and Screens takes another"
                                + " message for it.");
    }

    @Test
    void aPresetThatServesIsNamedWithWhatItSavesAndWhatItSendsBesides() {
        Plan plan = Sketch.of("Words")
                .box("Board", "eight-switch-long-press-board")
                .box("Loops", "loop-table-five-tracks")
                .link("board.out > loops.in")
                .edit(new NumberEdit.Choose(Practice.NUMBERS, 1))
                .step(
                        "board 2: loops record:track-1",
                        "board 3: loops stop:track-1",
                        "board 4: loops undo:track-1",
                        "board 5: loops select:memory-3")
                .plan();
        assertThat(Report.of(plan).proofs()).allMatch(proof -> proof.verdict() == Verdict.EXACT);
        assertThat(words(plan, "Board"))
                .contains(
                        "Choose the preset \"Controllers\". It sends already what is needed on Board, bank 1, switches"
                                + " 2, 3 and 4; program only what follows.")
                .anyMatch(line -> line.startsWith("It also sends on Board, bank 1, switches 1, 6, 7 and 8"))
                .noneMatch(line -> line.startsWith("ch 1 CC 21"))
                .anyMatch(line -> line.startsWith("ch 1 PC 3, for Loops: select Memory 3"));
    }

    /** Places of their own for each type: what is over is told by its type, and can go to another switch. */
    @ParameterizedTest
    @CsvSource({"2, 1, 'program changes', 1", "1, 3, 'control changes', 2"})
    void limitsHoldByType(int programs, int controls, String over, int most) {
        Sketch sketch = Sketch.of("Limits")
                .box("Board", Kind.FLOOR_BOARD, """
                        port OUT: 5-pin out
                        switches: 4 in rows of 4, send cc, pc, 8 a press, at most 1 pc, 2 cc
                        """, "")
                .box("Sounds", Kind.SOUND_SWITCHER, """
                        port IN: 5-pin in
                        setting MIDI receive channel: 1..16, factory 2
                        """, """
                        programs from 1
                        select Patch 1..8: pc 1..8
                        on Loop 1..8: cc 80..87
                        """)
                .link("board.out > sounds.in");
        for (int i = 1; i <= programs; i++) {
            sketch.step("board 1: sounds select:patch-" + i);
        }
        for (int i = 1; i <= controls; i++) {
            sketch.step("board 1: sounds on:loop-" + i);
        }
        Plan plan = sketch.plan();
        List<Finding> findings = Report.of(plan).findings().stream()
                .filter(finding -> finding.code().equals("switches.too-many-messages"))
                .toList();
        assertThat(findings)
                .extracting(finding -> Told.of(finding, plan).what())
                .containsExactly(
                        "The switch needs %d %s; Board sends at most %d in one press.".formatted(most + 1, over, most));
        Plan mended = Report.of(plan)
                .healing()
                .best(findings.getFirst())
                .orElseThrow()
                .edit()
                .apply(plan);
        assertThat(mended.switches().assignments()).hasSize(2);
    }

    @Test
    void padsAndKeysArePressedLikeSwitchesAndSendOnWhatTheyKeep() {
        Plan plan = Sketch.of("Stage")
                .box("Keys", "pads-and-keys")
                .box("Words", "words-and-pictures")
                .link("words.usb-1 > keys.usb")
                .set("words", "receive-channel", "10")
                .step("keys pad3: words next:slide")
                .plan();
        Report report = Report.of(plan);
        assertThat(report.proofs()).singleElement().satisfies(proof -> {
            assertThat(plan.words(proof.at())).isEqualTo("Keys, pad 3");
            assertThat(proof.compiled().sent().getFirst().hex()).isEqualTo("99 14 7F");
            assertThat(proof.verdict()).isEqualTo(Verdict.EXACT);
        });
        assertThat(words(plan, "Keys")).anyMatch(line -> line.contains("for Words: next Slide"));
        assertThat(SwitchAt.parse("keys.1.pad3"))
                .contains(report.proofs().getFirst().at());
        assertThat(SwitchAt.parse("keys.1.fader3")).isEmpty();
    }

    /** Two learn places with one source; what cannot learn the number is refused with a way out. */
    @Test
    void oneControlThatSendsOneNumberIsLearnedInTwoPlaces() {
        Sketch sketch = Sketch.of("Two")
                .box("Board", Kind.FLOOR_BOARD, """
                        port OUT: 5-pin out
                        treadles: 1, send cc, with range
                        """, "")
                .box("Loops", "loop-table-five-tracks")
                .link("board.out > loops.in")
                .move("board", ControlType.TREADLE, "loops", "track-1", 0, 127)
                .move("board", ControlType.TREADLE, "loops", "track-2", 0, 127);
        Plan plan = sketch.plan();
        assertThat(plan.rig().device(new DeviceId("loops")).learned().values())
                .extracting(Learned::number)
                .hasSize(2)
                .containsOnly(102);
        assertThat(Report.of(plan).controlAssignments()).allMatch(proof -> proof.verdict() == Verdict.EXACT);
    }

    private static List<String> words(Plan plan, String title) {
        return Sheets.of(Report.of(plan)).stream()
                .filter(sheet -> sheet.title().equals(title))
                .flatMap(sheet -> sheet.lines())
                .map(Section.Line::words)
                .toList();
    }
}
