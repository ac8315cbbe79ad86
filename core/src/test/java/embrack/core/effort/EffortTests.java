package embrack.core.effort;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MappingFaults;
import embrack.core.MuteBoard;
import embrack.core.Sketch;
import embrack.core.check.Report;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.ControlType;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.Sheet;
import embrack.core.switches.Moment;
import embrack.core.switches.Practice;
import embrack.core.switches.SwitchAt;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class EffortTests {

    private static final DeviceId FOOT = new DeviceId("foot-board");

    /** 8 knobs, 10 sounds, 20 s a link: arithmetic; the rate is common practice, no source. */
    @Test
    void straightLinksAgainstALayer() {
        Links links = new Links(8, 10);
        assertThat(Work.of(links.straight()))
                .isEqualTo(new Work(80, 20))
                .extracting(Work::words)
                .isEqualTo("26 min 40 s");
        assertThat(Work.of(links.throughLayer()))
                .isEqualTo(new Work(8, 20))
                .extracting(Work::words)
                .isEqualTo("2 min 40 s");
        assertThat(Work.of(links.throughLayer()).fitsInto(3)).isTrue();
        assertThat(Work.of(links.straight()).fitsInto(26)).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"0, 0 s", "2, 40 s", "3, 1 min", "5, 1 min 40 s"})
    void timesAreSaidInMinutesAndSeconds(int things, String words) {
        assertThat(Work.of(things).words()).isEqualTo(words);
    }

    /** Ten inputs, 99 memories: 990 settings and 99 writes, or 10 and 99. */
    @Test
    void aTemplateSavesSettingEveryMemory() {
        Writing writing = new Writing(10, 99);
        assertThat(List.of(writing.settingsByTemplate(), writing.settingsByMemory(), writing.writes()))
                .as("ten inputs with on, source, mode, target, low and high")
                .containsExactly(10 * 6, 99 * 60, 99);
        assertThat(new Writing(10, 99, 4).settingsByTemplate())
                .as("four memories in use are set one by one")
                .isEqualTo(60 + 4 * 60);
        assertThat(List.of(writing.slotsByMemory(), writing.writes(), writing.slotsByTemplate()))
                .containsExactly(990, 99, 10);
        assertThat(writing.byTemplate().things()).isEqualTo(109);
        assertThat(writing.byMemory().things()).isEqualTo(1089);
        Plan loops = MappingFaults.loops().plan();
        assertThat(Writing.of(loops.rig(), new DeviceId("loop-table"))).isEqualTo(new Writing(2, 99));
    }

    @ParameterizedTest
    @EnumSource(Practice.class)
    void bothAnswersOfEveryQuestionHaveAPriceAndARisk(Practice practice) {
        Plan plan = MappingFaults.sounds()
                .move("foot-board", ControlType.TREADLE, "piano", "control-1", 0, 127)
                .step("foot-board 4: piano select:patch-1", "foot-board 5: piano select:patch-2")
                .plan();
        assertThat(Price.of(plan, practice)).extracting(Price::answer).isEqualTo(practice.answers());
        assertThat(Price.of(plan, practice)).allMatch(price -> price.risk().endsWith("."));
    }

    @Test
    void pricesCountThisPlan() {
        Plan plan = MappingFaults.sounds()
                .move("foot-board", ControlType.TREADLE, "piano", "control-1", 0, 127)
                .step("foot-board 4: piano select:patch-1", "foot-board 5: piano select:patch-2")
                .plan();
        assertThat(Price.of(plan, Practice.MUTES)).extracting(Price::switches).containsExactly(2, 1);
        assertThat(Price.of(plan, Practice.LINKS)).extracting(Price::links).containsExactly(1, 2);
        assertThat(Price.of(MappingFaults.loops().plan(), Practice.MEMORIES))
                .extracting(Price::presses)
                .containsExactly(2 + 99, 2 * 99 + 99);
    }

    @Test
    void anotherBoardTakesOverAndSaysWhatToProgramInWhichOrder() {
        Plan plan = Sketch.on(MappingFaults.loops().plan())
                .then("foot-board 1", Moment.HOLD, "vocal-mixer open:input-1")
                .plan();
        Swap swap = Swap.of(plan, FOOT, model("eight-switch-long-press-board"), 20);
        assertThat(swap.lost())
                .as("all fits: the tenth switch goes to the first blank one")
                .isEmpty();
        assertThat(swap.fits()).isEqualTo(6);
        assertThat(Report.of(swap.after()).stopsTheShow()).isFalse();
        assertThat(swap.sheets()).extracting(Sheet::title).containsExactly("Foot board");
        assertThat(swap.work().things())
                .isEqualTo((int) swap.sheets().getFirst().lines().count());
    }

    @Test
    void whatDoesNotFitIsSaid() {
        Plan plan = MappingFaults.sounds()
                .move("foot-board", ControlType.TREADLE, "piano", "control-1", 0, 127)
                .step("foot-board 4: piano select:patch-1")
                .plan();
        Swap swap = Swap.of(plan, FOOT, model("two-switch-foot-box"), 20);
        assertThat(swap.lost())
                .contains(
                        "1 of 3 switches find no room, among them the last.",
                        "It has no place for 1 of the expression pedals, faders and knobs.");
        assertThat(swap.after().switches().of(FOOT)).hasSize(2);
    }

    /** The receiver dies: its own settings, and what the boards send to the new one. */
    @Test
    void aReceiverThatIsSwappedHasTheBoardsProgrammedAnewWhereTheySendSomethingElse() {
        Plan plan = MuteBoard.edited(
                MuteBoard.plan(),
                new SwitchEdit.ClearSwitch(MuteBoard.at(1)),
                new SwitchEdit.ClearSwitch(MuteBoard.at(2)),
                new SwitchEdit.ClearSwitch(MuteBoard.at(3)));
        Swap swap = Swap.of(plan, MuteBoard.MIXER, model("stage-mixer-12"), 30);
        assertThat(swap.sheets()).extracting(Sheet::title).contains("Vocal mixer");
        assertThat(swap.work().secondsEach()).isEqualTo(30);
    }

    @Test
    void aBoardOfTheRigTakesOverBesideItsOwnJob() {
        Plan plan = Sketch.on(MappingFaults.floor().plan())
                .box("Side board", "eight-switch-long-press-board")
                .box("Merger", "merger-2-to-1")
                .pull("foot-board.out > vocal-mixer.in")
                .link("foot-board.out > merger.in-1", "side-board.out > merger.in-2", "merger.out > vocal-mixer.in")
                .step("side-board 1: vocal-mixer mute:main")
                .plan();
        Swap swap = Swap.of(plan, FOOT, new DeviceId("side-board"), 20);
        assertThat(swap.lost()).isEmpty();
        assertThat(swap.after().switches().of(FOOT)).isEmpty();
        assertThat(swap.after().switches().of(new DeviceId("side-board")))
                .extracting(a -> a.at())
                .containsExactly(
                        new SwitchAt(new DeviceId("side-board"), 1, 1),
                        new SwitchAt(new DeviceId("side-board"), 1, 2),
                        new SwitchAt(new DeviceId("side-board"), 1, 3));
    }

    private static Model model(String id) {
        return Library.find(new ModelId(id)).orElseThrow();
    }
}
