package embrack.core.effort;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MappingFaults;
import embrack.core.MuteBoard;
import embrack.core.Sketch;
import embrack.core.SoundFaults;
import embrack.core.check.Report;
import embrack.core.edit.OrderEdit;
import embrack.core.edit.SoundEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.ControlType;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.library.Library;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.ShowId;
import embrack.core.show.SongId;
import embrack.core.switches.Moment;
import embrack.core.switches.Practice;
import embrack.core.switches.SwitchAt;
import embrack.core.way.Ways;
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
        assertThat(swap.all().boxes()).extracting(ToDo.Box::title).containsOnly("Foot board");
        assertThat(swap.all().hands())
                .extracting(ToDo.Deed::words)
                .containsExactly(
                        "Plug in the 5-pin cable from Foot board MIDI OUT to Vocal mixer MIDI IN.",
                        "Give it power: from a supply of its own.");
        assertThat(swap.all().seconds())
                .isEqualTo(
                        ToDo.PLUG_SECONDS + ToDo.POWER_SECONDS + 20 * swap.all().lines());
    }

    @Test
    void whatDoesNotFitIsSaid() {
        Plan plan = MappingFaults.sounds()
                .move("foot-board", ControlType.TREADLE, "piano", "control-1", 0, 127)
                .step("foot-board 4: piano select:patch-1")
                .plan();
        Swap swap = Swap.of(plan, FOOT, model("two-switch-foot-box"), 20);
        assertThat(swap.lost()).contains("No room for switch 4.", "Nothing moves what expression pedal 1 moved.");
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
        assertThat(swap.all().boxes()).extracting(ToDo.Box::title).contains("Vocal mixer");
        assertThat(swap.all().secondsEach()).isEqualTo(30);
    }

    /** A console has its mix in the hands of whoever brings another one: sends, 48 V, leads. */
    @Test
    void anotherConsoleIsSetByTheList() {
        DeviceId mixer = new DeviceId("mixer");
        Plan plan = SoundFaults.mill()
                .edit(new SoundEdit.SwitchPhantom(mixer, new PortId("input-3"), true))
                .plan();
        assertThat(Swap.of(plan, mixer, model("house-console-24"), 30).first().hands())
                .extracting(ToDo.Deed::words)
                .contains(
                        "Set its mix by the console list, with levels down: 5 sends.",
                        "Switch 48 V on at Input 3.",
                        "Plug in the sound cable from Mixer Aux 1 to Drum ears In.");
        assertThat(Swap.of(plan, mixer, model("rack-mixer-24"), 30).lost())
                .contains("It has no place for 5 sends of the mix.");
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

    /** A board is stood in for by anything with switches: buttons of a fader box, its fader for the pedal. */
    @Test
    void aBoxOfAnotherKindTakesOver() {
        Plan plan = MappingFaults.sounds()
                .move("foot-board", ControlType.TREADLE, "piano", "control-1", 0, 127)
                .plan();
        assertThat(Swap.of(plan, FOOT, model("fader-box-8-by-4"), 20).lost())
                .as("its switches send the other value when they come up")
                .containsExactly("Foot board, bank 1, switch 1: wrong.", "Foot board, bank 1, switch 2: wrong.");
        Model oneShot = described(Kind.FADER_BOX, """
                port MIDI OUT: 5-pin out
                port USB: USB device both ways
                switches: 8 in rows of 8, send cc, 1 a press
                gestures: press
                modes: one-shot
                send channel: one for the box
                faders: 8 in rows of 8, send cc
                setting MIDI send channel: 1..16, factory 1
                """, "");
        assertThat(Library.all().stream()
                        .filter(model -> !model.surface().pressed().isEmpty())
                        .map(model -> Swap.edit(FOOT, model).apply(pressed())))
                .as("anything with switches takes over, and songs press what is there")
                .hasSizeGreaterThan(8)
                .allSatisfy(after ->
                        assertThat(after.book().song(new SongId("one")).cues()).hasSizeLessThanOrEqualTo(2));
        Swap swap = Swap.of(MappingFaults.floor().plan(), FOOT, oneShot, 20);
        assertThat(swap.lost()).isEmpty();
        assertThat(swap.fits()).isEqualTo(2);
        assertThat(Swap.of(plan, FOOT, oneShot, 20).after().switches().travelsOf(FOOT))
                .extracting(control -> control.at().type())
                .containsExactly(ControlType.FADER);
        assertThat(Candidate.of(plan, FOOT, Library.all()))
                .filteredOn(candidate -> candidate
                        .model()
                        .filter(m -> m.id().text().equals("fader-box-8-by-4"))
                        .isPresent())
                .singleElement()
                .satisfies(candidate -> assertThat(candidate.does()).isEqualTo(candidate.of()));
    }

    /** What has a duty or is pressed up to the end of the first song comes first; the rest waits for a break. */
    @Test
    void theLeastBeforeTheFirstSongComesFirst() {
        ShowId tonight = new ShowId("tonight");
        Plan plan = MappingFaults.floor()
                .step("foot-board 3: vocal-mixer mute:input-2", "foot-board 4: vocal-mixer mute:input-3")
                .song("One", "tempo 120\nVerse: 20 bars\n")
                .song("Two", "tempo 120\nVerse: 20 bars\n")
                .foot("one", "3|1", "foot-board 3")
                .foot("two", "3|1", "foot-board 1")
                .edit(new OrderEdit.AddShow("Tonight"))
                .edit(new OrderEdit.AddSongTo(tonight, "one"))
                .edit(new OrderEdit.AddSongTo(tonight, "two"))
                .plan();
        Swap swap = Swap.of(plan, FOOT, model("two-switch-foot-box"), 20);
        assertThat(swap.after().switches().of(FOOT))
                .as("what the songs press stays, in its place where it has one")
                .extracting(a -> plan.words(a.steps().getFirst()))
                .containsExactly("Vocal mixer: mute Input 1", "Vocal mixer: mute Input 2");
        assertThat(swap.lost()).contains("No room for switch 2 and switch 4.");
        assertThat(swap.first().boxes().getFirst().lines())
                .extracting(ToDo.Line::heading)
                .anyMatch(heading -> heading.contains("switch 2"))
                .noneMatch(heading -> heading.contains("switch 1"));
        assertThat(swap.later().boxes().getFirst().lines())
                .extracting(ToDo.Line::heading)
                .allMatch(heading -> heading.contains("switch 1"));
    }

    @Test
    void aRentalThatOnlyTurnsRoundSaysWhatThatCosts() {
        Plan plan = MappingFaults.floor().plan();
        Model rental = described(Kind.MIXER, """
                port MIDI IN: 5-pin in
                setting MIDI receive channel: 1..16, factory 2
                """, """
                toggle mute Input 1..24: cc 20..43 = 127
                """);
        Swap swap = Swap.of(plan, new DeviceId("vocal-mixer"), rental, 20);
        assertThat(swap.costs()).singleElement().asString().startsWith("Input 1 can only be toggled on it");
        assertThat(swap.all().boxes())
                .flatExtracting(ToDo.Box::lines)
                .extracting(ToDo.Line::was)
                .as("old and new stand side by side")
                .contains("ch 2 CC 40 127, for Vocal mixer: mute Input 1");
    }

    /** No way led from the other board to the mixer: the cable of the board that died is pulled for it. */
    @Test
    void aBoardOfTheRigIsJoinedWithWhatItWorksFromThenOn() {
        Plan plan = MappingFaults.floor()
                .box("Side board", "eight-switch-long-press-board")
                .plan();
        Swap swap = Swap.of(plan, FOOT, new DeviceId("side-board"), 20);
        assertThat(swap.lost()).isEmpty();
        assertThat(swap.fits()).isEqualTo(2);
        assertThat(swap.first().hands())
                .extracting(ToDo.Deed::words)
                .containsExactly(
                        "Pull the 5-pin cable from Foot board MIDI OUT to Vocal mixer MIDI IN.",
                        "Plug in the 5-pin cable from Side board MIDI OUT to Vocal mixer MIDI IN.");
    }

    /** What learned from the old board clears that first: its program messages are none that the player had. */
    @Test
    void whatLearnsAnewClearsTheOldFirst() {
        Swap swap = Swap.of(MappingFaults.tracks().plan(), FOOT, model("program-up-down-board"), 20);
        assertThat(swap.all().boxes())
                .filteredOn(box -> box.title().endsWith("learns"))
                .singleElement()
                .satisfies(box -> assertThat(box.lines().getFirst().words())
                        .isEqualTo("Clear there what it learned from Foot board for these: an old link stays, "
                                + "and two things obey."));
    }

    /** A spare of the same hardware comes before all others: it has the pedal too. */
    @Test
    void theSameHardwareIsBest() {
        Plan plan = MappingFaults.sounds()
                .move("foot-board", ControlType.TREADLE, "piano", "control-1", 0, 127)
                .plan();
        Candidate best = Candidate.of(plan, FOOT, Library.all()).getFirst();
        assertThat(best.model()).contains(plan.rig().model(FOOT));
        assertThat(best.does())
                .isEqualTo(best.of())
                .isEqualTo(plan.switches().of(FOOT).size() + 1);
    }

    /** No plug of the board fits the box that is meant first; the cable to the other is plugged in all the same. */
    @Test
    void whatCannotBeJoinedKeepsNothingElseFromIt() {
        Plan plan = Sketch.of("Two receivers")
                .box("Foot board", "ten-switch-treadle-board")
                .box(
                        "Far desk",
                        Kind.MIXER,
                        "port LAN: network both ways\nsetting MIDI receive channel: 1..16, factory 1\n",
                        "mute Input 1..8: cc 20..27 = 127\n")
                .box("Vocal mixer", "rack-mixer-24")
                .step("foot-board 1: far-desk mute:input-1", "foot-board 2: vocal-mixer mute:input-1")
                .edit(new WiringEdit.JoinMeant(FOOT, FOOT, List.of()))
                .plan();
        assertThat(new Ways(plan.rig()).reach(FOOT)).contains(MuteBoard.MIXER).hasSize(1);
    }

    /** Every switch of the board is pressed in a song. */
    private static Plan pressed() {
        return MappingFaults.floor()
                .step("foot-board 10: vocal-mixer mute:input-2")
                .song("One", "tempo 120\nVerse: 20 bars\n")
                .foot("one", "3|1", "foot-board 10")
                .foot("one", "4|1", "foot-board 1")
                .plan();
    }

    private static Model described(Kind kind, String box, String chart) {
        return Sketch.of("Rental")
                .box("Hired", kind, box, chart)
                .plan()
                .rig()
                .models()
                .getFirst();
    }

    private static Model model(String id) {
        return Library.find(new ModelId(id)).orElseThrow();
    }
}
