package embrack.core.offer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embrack.core.Sketch;
import embrack.core.WalkRig;
import embrack.core.chart.Action;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedy;
import embrack.core.check.rule.Told;
import embrack.core.edit.GearEdit;
import embrack.core.edit.OrderEdit;
import embrack.core.edit.SongEdit;
import embrack.core.edit.WalkEdit;
import embrack.core.gear.Counter;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheets;
import embrack.core.show.ShowId;
import embrack.core.show.SongId;
import embrack.core.sim.Verdict;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Places;
import embrack.core.world.World;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Boards that step through programs from where they stand, and the tables that they walk through. */
class WalkTests {

    private static final DeviceId BOARD = WalkRig.BOARD;
    private static final DeviceId SOUNDS = WalkRig.SOUNDS;

    @Test
    void theTableIsWrittenSoThatUpIsAlwaysTheNextSound() {
        Plan plan = WalkRig.walked().plan();
        assertThat(plan.rig().device(SOUNDS).table().toString())
                .isEqualTo("{0=patch-12, 1=patch-90, 2=patch-12, 3=patch-3, 4=patch-3}");
        Report report = Report.of(plan);
        assertThat(report.proofs()).hasSize(9).allMatch(proof -> proof.verdict() == Verdict.EXACT);
        assertThat(codes(plan)).isEmpty();
        assertThat(lines(plan, "Sounds"))
                .containsSequence("Program 1: Patch 12 (Bells)", "Program 2: Patch 90 (Strings)");
        assertThat(lines(plan, "Stepper"))
                .containsSequence("1: Patch 12 (Bells), for Ebb, Verse 1", "2: Patch 90 (Strings), for Ebb, Refrain")
                .contains("4: Patch 3, for Flood, Refrain", "5: Patch 3");
    }

    @Test
    void anotherOrderIsToldAndWalkedAnew() {
        Plan plan = WalkRig.rig()
                .edit(new OrderEdit.AddShow("Tonight"))
                .edit(new OrderEdit.AddSongTo(new ShowId("tonight"), "ebb"))
                .edit(new WalkEdit.WalkTheShow(BOARD, SOUNDS))
                .plan();
        assertThat(codes(plan)).doesNotContain("order.walks-elsewhere");
        Plan other = new SongEdit.TellForm(
                        new SongId("ebb"), "Verse 1: 8 bars\n  sound: Strings\nRefrain: 8 bars\n  sound: Bells\n")
                .apply(plan);
        Finding found = finding(other, "order.walks-elsewhere");
        assertThat(Told.of(found, other).what())
                .isEqualTo("Position 1 of Stepper should bring Strings for Ebb, Verse 1; it brings Bells.");
        Remedy remedy = Report.of(other).healing().best(found).orElseThrow();
        assertThat(codes(remedy.edit().apply(other))).doesNotContain("order.walks-elsewhere");
    }

    @Test
    void aProgramThatASwitchSendsIsEditedWhereTheTableLetsIt() {
        Plan plan = WalkRig.rig().step("stepper/3 2: sounds select:patch-90").plan();
        Finding found = finding(plan, "switches.sends-its-own");
        Remedy remedy = Report.of(plan).healing().best(found).orElseThrow();
        assertThat(remedy.edit()).isEqualTo(new WalkEdit.ChooseProgram(SOUNDS, "4", "Strings"));
        assertThat(Report.of(remedy.edit().apply(plan)).proofs()).allMatch(proof -> proof.verdict() == Verdict.EXACT);
    }

    @Test
    void whatAnotherBoardChoosesIsNotWhereTheStepperStands() {
        Plan plan = Sketch.on(WalkRig.walked().plan())
                .step("other-board 1: sounds select:patch-40")
                .plan();
        assertThat(Told.of(finding(plan, "switches.counts-from-its-own"), plan).what())
                .isEqualTo(
                        "Stepper steps through sounds of Sounds, and Other board, bank A, switch 1 chooses some too.");
        assertThat(Report.of(plan).proofs()).allMatch(proof -> proof.verdict() == Verdict.EXACT);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Horns          | Nothing on Sounds is called "Horns".
            Patch 1        | ok
            patch 1, BELLS | ok
            """)
    void soundsAreTyped(String sounds, String words) {
        var edit = new WalkEdit.WalkSounds(BOARD, SOUNDS, sounds.replace(", ", "\n"));
        if (words.equals("ok")) {
            assertThat(Report.of(edit.apply(WalkRig.rig().plan())).proofs())
                    .isNotEmpty()
                    .allMatch(proof -> proof.verdict() == Verdict.EXACT);
        } else {
            assertThatThrownBy(() -> edit.apply(WalkRig.rig().plan())).hasMessageStartingWith(words);
        }
    }

    /** Against counting on one's fingers: a number goes up and down, stops at its ends or goes round. */
    @Test
    void aCounterCountsAsPeopleDo() {
        Random random = new Random(7);
        for (int n = 0; n < 300; n++) {
            int first = random.nextInt(120);
            Counter counter = new Counter(1, 2, first, first + 1 + random.nextInt(127 - first), random.nextBoolean());
            int stands = first;
            int position = 1;
            for (int press = 0; press < 40; press++) {
                int number = 1 + random.nextInt(2);
                stands += number == 2 ? 1 : -1;
                if (stands > counter.last()) {
                    stands = counter.round() ? first : counter.last();
                } else if (stands < first) {
                    stands = counter.round() ? counter.last() : first;
                }
                assertThat(counter.message(position, number).orElseThrow().number())
                        .isEqualTo(stands);
                position = counter.after(position, number);
                assertThat(counter.program(position)).isEqualTo(stands);
                int to = 1 + random.nextInt(counter.positions());
                int presses = counter.presses(position, to);
                int walked = position;
                for (int i = 0; i < Math.abs(presses); i++) {
                    walked = counter.after(walked, presses > 0 ? 2 : 1);
                }
                assertThat(walked).isEqualTo(to);
            }
        }
    }

    @Test
    void aPressInTheWorldGoesOnFromWhereTheBoardStands() {
        Plan plan = WalkRig.walked().plan();
        var engine = new Engine(plan);
        World world = World.poweredOn(new Places(plan.rig()));
        for (int expected : new int[] {1, 2, 3}) {
            SwitchAt up = new SwitchAt(BOARD, world.shownBank(BOARD), 2);
            var outcome = engine.settled(world, new Event.Press(up));
            assertThat(outcome.trace().stream()
                            .filter(Happened.Arrived.class::isInstance)
                            .map(Happened.Arrived.class::cast)
                            .filter(arrived -> arrived.socket().device().equals(SOUNDS))
                            .map(arrived -> ((Message.ProgramChange) arrived.message()).program()))
                    .containsExactly(expected);
            world = engine.settled(outcome.after(), new Event.Release(up)).after();
        }
    }

    @Test
    void programsOfATableAreTypedAsTheBoxCounts() {
        Plan plan = WalkRig.rig()
                .edit(new WalkEdit.ChooseProgram(SOUNDS, "5", "bells"))
                .plan();
        assertThat(plan.rig().device(SOUNDS).table().toString()).isEqualTo("{4=patch-12}");
        assertThat(plan.rig().chart(SOUNDS).table()).containsEntry(11, new PartId("patch-12"));
        assertThat(new WalkEdit.ChooseProgram(SOUNDS, "5", "")
                        .apply(plan)
                        .rig()
                        .device(SOUNDS)
                        .table())
                .isEmpty();
        assertThatThrownBy(() -> new WalkEdit.ChooseProgram(SOUNDS, "129", "Bells").apply(plan))
                .hasMessage("Sounds has programs 1 to 128 in its table.");
        assertThatThrownBy(() -> new WalkEdit.ChooseProgram(BOARD, "1", "Bells").apply(plan))
                .hasMessage("The program table of Stepper cannot be edited.");
    }

    @Test
    void aShorterWalkLeavesNothingInTheTable() {
        Plan plan = new WalkEdit.WalkSounds(BOARD, SOUNDS, "Bells")
                .apply(WalkRig.walked().plan());
        assertThat(plan.rig().device(SOUNDS).table().toString()).isEqualTo("{0=patch-12, 1=patch-12}");
        Plan none = new WalkEdit.WalkSounds(BOARD, SOUNDS, "").apply(plan);
        assertThat(none.rig().device(SOUNDS).table()).isEmpty();
        assertThat(none.switches().of(BOARD)).isEmpty();
    }

    @Test
    void whatAHandEditedStaysWhereNoWalkLeadsOverIt() {
        Plan plan = Sketch.on(WalkRig.walked().plan())
                .edit(new WalkEdit.ChooseProgram(SOUNDS, "60", "Bells"))
                .edit(new WalkEdit.WalkSounds(BOARD, SOUNDS, ""))
                .plan();
        assertThat(plan.rig().device(SOUNDS).table().toString()).isEqualTo("{59=patch-12}");
    }

    /** Songs name sounds of all boxes: each board walks through those of its own. */
    @Test
    void eachBoardWalksThroughTheSoundsOfItsOwnBox() {
        DeviceId other = new DeviceId("other-stepper");
        DeviceId keys = new DeviceId("keys");
        Plan plan = WalkRig.rig()
                .box("Other stepper", "program-up-down-board")
                .box("Keys", "sounds-switcher")
                .set("other-stepper", "send-channel", "4")
                .set("keys", "receive-channel", "4")
                .link("other-stepper.out > keys.in")
                .edit(new GearEdit.LabelPart(keys, new PartId("patch-7"), "Organ"))
                .song(
                        "Slack",
                        "Verse: 8 bars\n  sound: Bells\nTurn: 8 bars\n  sound: Organ\nEnd: 8 bars\n  sound: Bells\n")
                .edit(new WalkEdit.WalkTheShow(BOARD, SOUNDS))
                .edit(new WalkEdit.WalkTheShow(other, keys))
                .plan();
        assertThat(codes(plan)).isEmpty();
        assertThat(Walk.planned(plan, other))
                .as("a name that is printed on both boxes is for both, and a press more keeps the last")
                .containsExactly(
                        Optional.of(new PartId("patch-3")),
                        Optional.of(new PartId("patch-7")),
                        Optional.of(new PartId("patch-7")));
        assertThat(plan.rig().device(SOUNDS).table().get(4)).isEqualTo(new PartId("patch-12"));
    }

    @Test
    void aSoundThatTodaysHardwareDoesNotHaveIsNamedByItsBareId() {
        var second = new SwitchAt(BOARD, 1, 2);
        var gone = new Step(SOUNDS, new Action(Verb.SELECT, new PartId("patch-900")));
        Plan plan = WalkRig.rig().plan();
        plan = plan.withSwitches(plan.switches().with(new Assignment(second, Optional.empty(), List.of(gone))));
        assertThat(lines(plan, "Stepper")).contains("2: patch-900, for Ebb, Refrain");
    }

    @Test
    void allProgramsThatSwitchesSendAreEditedAtOnce() {
        Plan plan = WalkRig.rig()
                .step(
                        "stepper/3 2: sounds select:patch-90",
                        "stepper/4 2: sounds select:patch-12",
                        "stepper/5 2: sounds select:patch-3",
                        "stepper/6 2: sounds select:patch-90")
                .plan();
        Finding found = finding(plan, "switches.sends-its-own");
        Plan mended = Report.of(plan).healing().best(found).orElseThrow().edit().apply(plan);
        assertThat(mended.rig().device(SOUNDS).table().toString())
                .isEqualTo("{3=patch-90, 4=patch-12, 5=patch-3, 6=patch-90}");
    }

    private static Finding finding(Plan plan, String code) {
        return Report.of(plan).findings().stream()
                .filter(f -> f.code().equals(code))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> codes(Plan plan) {
        return Report.of(plan).findings().stream().map(Finding::code).toList();
    }

    private static List<String> lines(Plan plan, String sheet) {
        return Sheets.of(Report.of(plan)).stream()
                .filter(s -> s.title().equals(sheet))
                .flatMap(s -> s.lines())
                .map(Section.Line::words)
                .toList();
    }
}
