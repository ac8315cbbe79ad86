package embrack.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embrack.core.MappingFaults;
import embrack.core.MuteBoard;
import embrack.core.Sketch;
import embrack.core.chart.LearnableId;
import embrack.core.chart.PartId;
import embrack.core.compile.Compiler;
import embrack.core.gear.ControlType;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import embrack.core.level.Curve;
import embrack.core.level.Law;
import embrack.core.level.Takeover;
import embrack.core.midi.MessageType;
import embrack.core.midi.ProgramTable;
import embrack.core.name.TapeLabel;
import embrack.core.offer.LevelOffers;
import embrack.core.offer.Offer;
import embrack.core.offer.Offers;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.Practice;
import embrack.core.switches.ShortForm;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Target;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class FloorEditTests {

    private static final DeviceId FOOT = new DeviceId("foot-board");
    private static final DeviceId LOOPS = new DeviceId("loop-table");
    private static final ControlAt TREADLE = new ControlAt(FOOT, ControlType.TREADLE, 1, 1);
    private static final Plan FLOOR = Sketch.on(MappingFaults.floor().plan())
            .edit(new SwitchEdit.NameSwitch(at(1), "Hush"))
            .plan();

    @Test
    void copiesKeepEverythingAndLieAsTheOriginalsDo() {
        Plan copied = new FloorEdit.CopySwitches(List.of(at(1), at(2)), at(5)).apply(FLOOR);
        assertThat(copied.switches().assignments())
                .extracting(a -> a.at().number() + 10 * a.at().bank())
                .containsExactly(11, 12, 15, 16);
        assertThat(copied.switches().at(at(5)).label()).contains(new TapeLabel("Hush"));
        Plan over = new FloorEdit.CopySwitches(List.of(at(1), at(2)), at(10)).apply(FLOOR);
        assertThat(over.switches().at(new SwitchAt(FOOT, 2, 1)).steps())
                .as("goes on in the next bank")
                .hasSize(1);
    }

    @Test
    void movedSwitchesLeaveBlanksAndMayOverlapWithThemselves() {
        Plan moved = new FloorEdit.MoveSwitches(List.of(at(1), at(2)), at(2)).apply(FLOOR);
        assertThat(moved.switches().assignments())
                .extracting(a -> a.at().number())
                .containsExactly(2, 3);
        assertThat(moved.switches().at(at(2)).label()).contains(new TapeLabel("Hush"));
    }

    @Test
    void twoAreExchangedSeveralClearedAndABankMadeLikeAnother() {
        Plan swapped = new FloorEdit.SwapSwitches(at(1), at(9)).apply(FLOOR);
        assertThat(swapped.switches().at(at(9)).label()).contains(new TapeLabel("Hush"));
        assertThat(swapped.switches().at(at(1)).isBlank()).isTrue();
        Plan bank = new FloorEdit.CopyBank(FOOT, 1, 3).apply(FLOOR);
        assertThat(bank.switches().of(FOOT)).extracting(a -> a.at().bank()).containsExactly(1, 1, 3, 3);
        assertThat(new FloorEdit.ClearSwitches(List.of(at(1), at(2)))
                        .apply(FLOOR)
                        .switches()
                        .assignments())
                .isEmpty();
    }

    @Test
    void aSpareOnTheOtherSideDoesTheSameWithTheSameNumbers() {
        Plan plan = Sketch.on(MappingFaults.loops().plan())
                .box("Spare", "eight-switch-long-press-board")
                .plan();
        Plan spare = new FloorEdit.CopySwitches(List.of(at(3)), new SwitchAt(new DeviceId("spare"), 1, 1)).apply(plan);
        Compiler compiler = new Compiler(spare);
        assertThat(compiler.compile(spare.switches().at(new SwitchAt(new DeviceId("spare"), 1, 1)))
                        .allSteps()
                        .getFirst()
                        .messages())
                .isEqualTo(compiler.compile(spare.switches().at(at(3)))
                        .allSteps()
                        .getFirst()
                        .messages());
    }

    private static Stream<Arguments> refused() {
        Step mute = Sketch.stepOf("vocal-mixer mute:input-1");
        Plan loops = MappingFaults.loops().plan();
        Plan swell = MappingFaults.sounds()
                .move("foot-board", ControlType.TREADLE, "piano", "control-1", 0, 127)
                .plan();
        return Stream.of(
                Arguments.of(
                        FLOOR, new FloorEdit.CopySwitches(List.of(), at(1)), "from", "Choose at least one switch."),
                Arguments.of(
                        FLOOR,
                        new FloorEdit.CopySwitches(List.of(at(1), at(2)), new SwitchAt(FOOT, 10, 10)),
                        "to",
                        "Foot board has no room for 2 switches from there on."),
                Arguments.of(
                        FLOOR,
                        new FloorEdit.SwapSwitches(at(1), new SwitchAt(FOOT, 11, 1)),
                        "to",
                        "Foot board has 10 banks, so there is no bank 11"),
                Arguments.of(FLOOR, new SwitchEdit.ShortenName(at(1), "Hush"), "text", "Foot board shows no names."),
                Arguments.of(
                        side(),
                        new SwitchEdit.ShortenName(new SwitchAt(new DeviceId("side"), 1, 1), "Everything"),
                        "text",
                        "Side shows 8 characters; \"Everything\" has 10."),
                Arguments.of(
                        FLOOR,
                        new SwitchEdit.WaitBefore(at(1), Moment.PRESS, 0, mute, "10001"),
                        "millis",
                        "a wait is 0 to 10000 ms, was 10001"),
                Arguments.of(
                        FLOOR,
                        new SwitchEdit.WaitBefore(at(1), Moment.PRESS, 0, mute, "soon"),
                        "millis",
                        "Write a whole number in digits."),
                Arguments.of(
                        loops, pin("64"), "number", "64 is damper pedal: sounds obey it by themselves. Take another."),
                Arguments.of(loops, pin("128"), "number", "the number must be 0 to 127, was 128"),
                Arguments.of(
                        loops,
                        new NumberEdit.PinNumber(
                                LOOPS, LearnableId.parse("play:nothing"), MessageType.CONTROL_CHANGE, "", "20"),
                        "number",
                        "This box does not learn that."),
                Arguments.of(
                        loops,
                        new NumberEdit.UseMemories(LOOPS, "1..100", ""),
                        "inShow",
                        "\"1..100\" does not lie in 1 to 99, from low to high."),
                Arguments.of(
                        loops,
                        new NumberEdit.UseMemories(LOOPS, "", "the first"),
                        "taken",
                        "\"the first\" is no number and no range; write such as 1..8, 12."),
                Arguments.of(
                        loops,
                        new NumberEdit.Respond(LOOPS, LearnableId.parse("record:track-1"), false, "0", "200"),
                        "high",
                        "high value must be 0 to 127, was 200"),
                Arguments.of(swell, shape("300", "127", "0", ""), "from", "a level must be 0 to 127, was 300"),
                Arguments.of(
                        swell, shape("0", "127", "99", ""), "top", "the top of a level is \u221224 to 24 dB, was 99"),
                Arguments.of(
                        swell,
                        new ControlEdit.AddTarget(TREADLE, new Target(new DeviceId("piano"), new PartId("control-1"))),
                        "target",
                        "a control moves each level once"));
    }

    @ParameterizedTest
    @MethodSource
    void refused(Plan plan, Edit edit, String field, String words) {
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> edit.apply(plan))
                .satisfies(refused -> {
                    assertThat(refused.words()).isEqualTo(words);
                    assertThat(refused.field()).isEqualTo(field);
                });
    }

    @ParameterizedTest
    @CsvSource({
        "Voice dry, 8, VoicDry",
        "Hush, 8, Hush",
        "Everything quiet, 8, Evryhngq",
        "Make safe, 4, Mksf",
        "Oboe, 3, Obo"
    })
    void tapeIsShortenedForTheDisplayOfABox(String tape, int room, String shown) {
        assertThat(ShortForm.of(new TapeLabel(tape), room))
                .hasSizeLessThanOrEqualTo(room)
                .startsWith(tape.substring(0, 1));
        assertThat(ShortForm.of(new TapeLabel(tape), 40)).isEqualTo(tape);
    }

    /** Arithmetic: program p, counted from 1, is bank (p - 1) / n and patch (p - 1) mod n + 1. */
    @ParameterizedTest
    @CsvSource({
        "8, 9, 'bank 1, patch 1'",
        "8, 1, 'bank 0, patch 1'",
        "8, 8, 'bank 0, patch 8'",
        "8, 128, 'bank 15, patch 8'",
        "5, 12, 'bank 2, patch 2'",
        "128, 128, 'bank 0, patch 128'"
    })
    void programsAreFoundInBanksOfPatches(int perBank, int program, String words) {
        assertThat(new ProgramTable(perBank).words(program - 1)).isEqualTo(words);
    }

    /** As displays have it; each name finds its program again. */
    @ParameterizedTest
    @CsvSource({
        "8, 1-1, 1, 1-1",
        "8, 1-1, 128, 16-8",
        "8, 0-0, 128, 15-7",
        "4, A1, 128, AF4",
        "10, 01, 12, 12",
        "5, 1A, 7, 2B"
    })
    void programsAreShownAsTheBoxShowsThem(int perBank, String first, int program, String shown) {
        ProgramTable table = new ProgramTable(perBank, Optional.of(first));
        assertThat(table.shown(program - 1)).isEqualTo(shown);
        assertThat(table.words(program - 1)).endsWith("(" + shown + ")");
    }

    @Test
    void theBoxShowsWhereAProgramIs() {
        Plan plan = Sketch.of("Guitar")
                .box("Foot board", "ten-switch-treadle-board")
                .box("Guitar sounds", "sounds-switcher")
                .step("foot-board 1: guitar-sounds select:patch-9")
                .plan();
        assertThat(plan.rig()
                        .chart(new DeviceId("guitar-sounds"))
                        .shownAt(Sketch.stepOf("guitar-sounds select:patch-9").action()))
                .contains("bank 1, patch 1");
    }

    @Test
    void aChaseOfADeskThatOnlyTogglesIsOfferedAsAState() {
        Plan plan = MappingFaults.lights().plan();
        Offer offer = new Offers(plan).find(at(6), "chase 2").getFirst();
        assertThat(offer.words()).isEqualTo("Lantern desk: switch on Chase 2");
        assertThat(offer.along()).as("a toggle is never added by itself").isEmpty();
        assertThat(new LevelOffers(MappingFaults.sounds().plan()).find("control 3"))
                .extracting(t -> t.part().text())
                .containsExactly("control-3");
    }

    @Test
    void aCrewThatLikesJumpsGetsThemOnNewControls() {
        Plan jumping = new NumberEdit.Choose(Practice.FADERS, 1)
                .apply(MappingFaults.sounds().plan());
        Plan moved = new ControlEdit.AddTarget(TREADLE, new Target(new DeviceId("piano"), new PartId("control-1")))
                .apply(jumping);
        assertThat(moved.switches().at(TREADLE).takeover()).isEqualTo(Takeover.JUMP);
        assertThat(new ControlEdit.AddTarget(TREADLE, new Target(new DeviceId("piano"), new PartId("control-1")))
                        .apply(new NumberEdit.Choose(Practice.FADERS, 2)
                                .apply(MappingFaults.sounds().plan()))
                        .switches()
                        .at(TREADLE)
                        .takeover())
                .isEqualTo(Takeover.CATCH);
        assertThatThrownBy(() -> new NumberEdit.Choose(Practice.MUTES, 2)
                        .apply(MappingFaults.sounds().plan()))
                .isInstanceOf(Refused.class);
        assertThat(new NumberEdit.Choose(Practice.FADERS, 0)
                        .apply(moved)
                        .practices()
                        .answered(1))
                .isEmpty();
        Plan cleared =
                new ControlEdit.ClearControl(TREADLE).apply(new ControlEdit.NameControl(TREADLE, "Swell").apply(moved));
        assertThat(cleared.switches().controlAssignments()).isEmpty();
    }

    @Test
    void aBoxThatGoesTakesItsControlsAndTheLevelsThatWereMoved() {
        Plan plan = MappingFaults.sounds()
                .move("foot-board", ControlType.TREADLE, "piano", "control-1", 0, 127)
                .plan();
        assertThat(new GearEdit.RemoveDevice(new DeviceId("piano"), true)
                        .apply(plan)
                        .switches()
                        .controlAssignments())
                .isEmpty();
        assertThat(new GearEdit.SwapHardware(
                                FOOT,
                                Library.find(new ModelId("eight-switch-long-press-board"))
                                        .orElseThrow())
                        .apply(MuteBoard.edited(plan))
                        .switches()
                        .controlAssignments())
                .isEmpty();
    }

    private static Plan side() {
        return Sketch.of("Side").box("Side", "eight-switch-long-press-board").plan();
    }

    private static NumberEdit pin(String number) {
        return new NumberEdit.PinNumber(
                LOOPS, LearnableId.parse("record:track-1"), MessageType.CONTROL_CHANGE, "", number);
    }

    private static ControlEdit shape(String from, String to, String top, String cap) {
        return new ControlEdit.Shape(
                TREADLE,
                new DeviceId("piano"),
                new PartId("control-1"),
                from,
                to,
                Curve.LINEAR,
                Law.DECIBELS,
                top,
                cap);
    }

    private static SwitchAt at(int number) {
        return new SwitchAt(FOOT, 1, number);
    }
}
