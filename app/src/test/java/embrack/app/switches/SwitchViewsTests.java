package embrack.app.switches;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.MappingFaults;
import embrack.core.Sketch;
import embrack.core.chart.LearnableId;
import embrack.core.chart.PartId;
import embrack.core.check.Report;
import embrack.core.edit.ControlEdit;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.effort.Swap;
import embrack.core.gear.ControlType;
import embrack.core.gear.ModelId;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.library.Library;
import embrack.core.level.Curve;
import embrack.core.level.Law;
import embrack.core.level.Takeover;
import embrack.core.midi.MessageType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the pages of the switches room are told, by rigs in memory. */
class SwitchViewsTests {

    private static final DeviceId FOOT = new DeviceId("foot-board");
    private static final ControlAt TREADLE = new ControlAt(FOOT, ControlType.TREADLE, 1, 1);

    @Test
    void theFloorPlanLiesAsTheBoxDoesWithItsTreadleBeside() {
        Plan plan = MappingFaults.sounds()
                .move("foot-board", ControlType.TREADLE, "piano", "control-1", 0, 127)
                .edit(new SwitchEdit.NameSwitch(Sketch.at("foot-board 1"), "Hush"))
                .edit(new SwitchEdit.GiveDuty(Sketch.at("foot-board 1"), Optional.of(Duty.KILL)))
                .plan();
        BoardView board = BoardView.of(Report.of(plan), Sketch.at("foot-board 2"), "/rigs/7");
        assertThat(board.rows().getFirst().tiles())
                .extracting(BoardView.Tile::number)
                .as("the far row first")
                .containsExactly(6, 7, 8, 9, 10, 1, 2, 3, 4, 5);
        assertThat(board.rows().getFirst().tiles().get(5))
                .extracting(
                        BoardView.Tile::label,
                        t -> t.duty().words(),
                        t -> t.duty().isKill(),
                        BoardView.Tile::key)
                .containsExactly("Hush", "kill switch", true, "foot-board.1.1");
        assertThat(board.rows().getFirst().tiles())
                .filteredOn(BoardView.Tile::isSelected)
                .singleElement()
                .extracting(BoardView.Tile::href)
                .isEqualTo("/rigs/7/switches/foot-board/1/2");
        assertThat(board.controls()).singleElement().satisfies(control -> {
            assertThat(control.href()).isEqualTo("/rigs/7/switches/foot-board/1/treadle/1");
            assertThat(control.moves()).containsExactly("Piano: level of Control 1");
            assertThat(control.curve()).startsWith("M0.0 100.0 L").endsWith("L100.0 0.0");
            assertThat(control.mark().orElseThrow().words()).isEqualTo("exact");
        });
        assertThat(board.banks())
                .extracting(BoardView.Tab::words)
                .as("ten banks bear their names alone")
                .startsWith("A", "B");
        assertThat(board.otherBanks()).hasSize(9).doesNotContainKey(1);
    }

    @Test
    void aBoxWithNothingButKnobsHasAFloorPlanToo() {
        Plan plan = Sketch.of("Keys").box("Keys", "pads-and-keys").plan();
        ControlAt knob = new ControlAt(new DeviceId("keys"), ControlType.KNOB, 1, 3);
        BoardView board = BoardView.of(Report.of(plan), knob, "/rigs/7");
        assertThat(board.rows()).extracting(BoardView.Rows::title).containsExactly("Pads", "Keys");
        assertThat(board.banks()).isEmpty();
        assertThat(board.controls())
                .hasSize(8)
                .filteredOn(BoardView.ControlTile::isSelected)
                .extracting(BoardView.ControlTile::words)
                .containsExactly("knob 3");
        assertThat(BoardView.first(plan, new DeviceId("keys"), 1, "")).isEqualTo("/switches/keys/1/knob/1");
    }

    @ParameterizedTest
    @CsvSource({
        "ten-switch-treadle-board, 'press, second press, release, hold'",
        "eight-switch-long-press-board, 'press, second press, release, hold, double press'",
        "four-switch-floor-board, press",
        "two-switch-foot-box, 'press, second press, release'"
    })
    void aSwitchOffersTheMomentsThatItsBoardCanTell(String model, String moments) {
        Plan plan = Sketch.of("Board").box("Board", model).plan();
        PanelView panel = PanelView.of(Report.of(plan), Sketch.at("board 1"), "/rigs/7", Moment.PRESS, "");
        assertThat(String.join(
                        ", ",
                        panel.when().moments().stream()
                                .map(PanelView.MomentTab::words)
                                .toList()))
                .isEqualTo(moments);
        assertThat(panel.foot().isBlank()).isTrue();
        assertThat(panel.foot().misses()).isEmpty();
    }

    @Test
    void aMomentThatTheBoardCannotTellIsStillShownWhenItHasSteps() {
        Plan plan = Sketch.of("Board")
                .box("Board", "four-switch-floor-board")
                .box("Mixer", "rack-mixer-24")
                .link("board.out > mixer.in")
                .set("mixer", "receive-channel", "2")
                .then("board 1", Moment.HOLD, "mixer mute:main")
                .plan();
        PanelView panel = PanelView.of(Report.of(plan), Sketch.at("board 1"), "/rigs/7", Moment.HOLD, "");
        assertThat(panel.when().moments())
                .extracting(PanelView.MomentTab::words, PanelView.MomentTab::steps, PanelView.MomentTab::isHere)
                .containsExactly(tuple("press", 0, false), tuple("hold", 1, true));
        assertThat(panel.does().steps().getFirst().obstacle()).isEqualTo("the board cannot tell a hold");
        assertThat(panel.findings()).singleElement().extracting(f -> f.what()).isEqualTo("Board cannot tell a hold.");
    }

    @Test
    void whatASwitchSendsByItselfIsSaidAtItsMoment() {
        Plan plan =
                MappingFaults.floor().mode("foot-board 1", SwitchMode.MOMENTARY).plan();
        assertThat(PanelView.of(Report.of(plan), Sketch.at("foot-board 1"), "", Moment.RELEASE, "")
                        .does()
                        .byItself())
                .isEqualTo("The switch sends by itself: B1 28 00");
        PanelView press = PanelView.of(Report.of(plan), Sketch.at("foot-board 1"), "", Moment.PRESS, "");
        assertThat(press.proof().tale().orElseThrow().told())
                .extracting(PanelView.Told::words)
                .last()
                .asString()
                .startsWith("let ");
        assertThat(press.kinds().modes())
                .filteredOn(PanelView.Choice::isChosen)
                .extracting(PanelView.Choice::words)
                .containsExactly("one value down, another up");
        assertThat(press.proof().proven()).isEmpty();
    }

    @Test
    void offersSayWhatComesAlongAndNothingOfWhatWillBeLearned() {
        PanelView lights = PanelView.of(
                Report.of(MappingFaults.lights().plan()), Sketch.at("foot-board 6"), "", Moment.PRESS, "chase 1");
        assertThat(lights.search().offers().getFirst())
                .extracting(PanelView.OfferRow::key, PanelView.OfferRow::along)
                .containsExactly("on:chase-1", "");
        PanelView loops = PanelView.of(
                Report.of(MappingFaults.loops().plan()), Sketch.at("foot-board 7"), "", Moment.PRESS, "undo track 3");
        assertThat(loops.search().offers())
                .singleElement()
                .extracting(PanelView.OfferRow::obstacle)
                .as("a number is chosen as soon as it is taken")
                .isEqualTo("");
    }

    @Test
    void aTreadleShowsItsLevelsItsCapAndWhatHappensElsewhere() {
        Plan plan = MappingFaults.sounds()
                .move("foot-board", ControlType.TREADLE, "piano", "control-1", 0, 127)
                .edit(new ControlEdit.Shape(
                        TREADLE,
                        new DeviceId("piano"),
                        new PartId("control-1"),
                        "0",
                        "127",
                        Curve.LINEAR,
                        Law.DECIBELS,
                        "6",
                        "0"))
                .plan();
        ControlView view = ControlView.of(Report.of(plan), TREADLE, "/rigs/7", 64, 127, "control 2");
        ControlView.LevelRow level = view.levels().getFirst();
        assertThat(level.shownAt())
                .containsExactly("silent", "\u221217.9 dB", "\u22125.9 dB", "\u22120.2 dB", "\u22120.2 dB");
        assertThat(level.message()).isEqualTo("ch 5  CC 20  0 to 89");
        assertThat(level.drawn().unity()).isBetween(29.0, 31.0);
        assertThat(view.lists().heelToToe()).containsExactly("heel down", "toe down");
        assertThat(view.search().offers())
                .extracting(ControlView.OfferRow::part)
                .containsExactly("control-2");
        assertThat(view.elsewhere().touch())
                .isEqualTo("Every move is shared out over the room that is left, until both meet.");
        assertThat(view.elsewhere().steps())
                .as("a quarter of the way down at a time")
                .hasSize(4)
                .last()
                .isEqualTo("0: silent");
        Plan catching = new ControlEdit.ChooseTakeover(TREADLE, Takeover.CATCH).apply(plan);
        assertThat(ControlView.of(Report.of(catching), TREADLE, "", 64, 127, "")
                        .elsewhere()
                        .touch())
                .isEqualTo("Nothing moves until the control passes 6.0 dB.");
    }

    @Test
    void numbersSayWhoHearsWhomWhatIsPinnedAndWhatWouldChange() {
        Plan plan = MappingFaults.loops()
                .edit(new NumberEdit.PinNumber(
                        new DeviceId("loop-table"),
                        LearnableId.parse("record:track-1"),
                        MessageType.CONTROL_CHANGE,
                        "",
                        "30"))
                .plan();
        NumbersPage page = NumbersPage.of(Report.of(plan));
        assertThat(page.receivers())
                .extracting(NumbersPage.Receiver::name, NumbersPage.Receiver::channel, NumbersPage.Receiver::proposed)
                .containsExactly(tuple("Vocal mixer", "ch 2", ""), tuple("Loop table", "ch 4", ""));
        assertThat(page.senders().getFirst().cells())
                .extracting(NumbersPage.Cell::words)
                .containsExactly("meant", "meant");
        assertThat(page.learners().getFirst().rows())
                .extracting(NumbersPage.Row::learnable, NumbersPage.Row::number, NumbersPage.Row::isPinned)
                .containsExactly(tuple("record:track-1", 30, true), tuple("stop-all:tracks", 103, false));
        assertThat(page.renumbered())
                .as("goes on behind the pinned one")
                .containsExactly("Loop table, stop all Tracks: CC 103 becomes CC 31.");
        assertThat(page.learners().getFirst().writing())
                .containsExactly(
                        "Template first: 2 inputs of 6 settings, 12 in all, and 99 writes: 33 min 40 s.",
                        "Memory by memory: 198 inputs, 1188 settings in all, and 99 writes: 99 min.");
    }

    @Test
    void aSwapSaysWhetherThereIsTime() {
        Plan plan = MappingFaults.loops().plan();
        SwapPage page = SwapPage.of(
                plan, Optional.of(FOOT), "eight-switch-long-press-board", new SwapPage.Rate(20, 5), List.of());
        Swap swap = Swap.of(
                plan,
                FOOT,
                Library.find(new ModelId("eight-switch-long-press-board")).orElseThrow(),
                20);
        SwapPage.Result result = page.with(swap, "Eight").result().orElseThrow();
        assertThat(result.first().work().seconds() <= 5 * 60)
                .isEqualTo(result.first().isInTime());
        assertThat(result.first().work().boxes())
                .singleElement()
                .satisfies(box -> assertThat(box.lines())
                        .anyMatch(line -> line.heading().startsWith("Bank 1, switch 3")
                                && line.words().startsWith("ch 4 CC 102")));
        assertThat(page.boxes()).extracting(SwapPage.Choice::words).contains("Loop table (Loop table, five tracks)");
    }
}
