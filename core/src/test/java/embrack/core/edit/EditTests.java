package embrack.core.edit;

import static embrack.core.MuteBoard.BOARD;
import static embrack.core.MuteBoard.IN;
import static embrack.core.MuteBoard.MIXER;
import static embrack.core.MuteBoard.OUT;
import static embrack.core.MuteBoard.THRU;
import static embrack.core.MuteBoard.at;
import static embrack.core.MuteBoard.step;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import embrack.core.MuteBoard;
import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.compile.Obstacle;
import embrack.core.gear.BankChange;
import embrack.core.gear.FactoryMessage;
import embrack.core.gear.FactoryRun;
import embrack.core.gear.Implementation;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Purpose;
import embrack.core.gear.SettingId;
import embrack.core.gear.library.Library;
import embrack.core.midi.MessageType;
import embrack.core.name.TapeLabel;
import embrack.core.offer.Offer;
import embrack.core.offer.Offers;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class EditTests {

    private static final Plan PLAN = MuteBoard.plan();
    private static final DeviceId GONE = new DeviceId("gone");

    private static List<Arguments> refusals() {
        return List.of(
                Arguments.of(channel("0"), "value", "MIDI receive channel goes from 1 to 16; 0 is not on the box."),
                Arguments.of(channel("17"), "value", "MIDI receive channel goes from 1 to 16; 17 is not on the box."),
                Arguments.of(
                        channel("\u22121"), "value", "MIDI receive channel goes from 1 to 16; -1 is not on the box."),
                Arguments.of(channel(""), "value", "Write a number; it is empty."),
                Arguments.of(channel("two"), "value", "Write a whole number in digits."),
                Arguments.of(channel("99999999999"), "value", "Write a whole number in digits."),
                Arguments.of(
                        new GearEdit.ChangeSetting(MIXER, new SettingId("colour"), "1"),
                        "value",
                        "This box no longer has that setting."),
                Arguments.of(new GearEdit.RenameRig(" "), "name", "Write a name; it is empty."),
                Arguments.of(
                        new GearEdit.AddDevice("vocal MIXER", Library.RACK_MIXER),
                        "name",
                        "There is already a box called Vocal mixer. Give each its own name."),
                Arguments.of(
                        new GearEdit.RenameDevice(BOARD, "Vocal mixer"),
                        "name",
                        "There is already a box called Vocal mixer. Give each its own name."),
                Arguments.of(
                        new GearEdit.RenameDevice(GONE, "Vox"),
                        "name",
                        "That box is no longer in the rig. Choose another."),
                Arguments.of(
                        new GearEdit.RemoveDevice(MIXER, false),
                        "device",
                        "Vocal mixer is still used by Voice board, bank A, switches 1, 2, 3 and 4."
                                + " Remove those steps first, or remove the box with its steps."),
                Arguments.of(
                        new GearEdit.SwapHardware(BOARD, Library.RACK_MIXER),
                        "model",
                        "Voice board is a floor board and"
                                + " Rack mixer, 24 strips is a mixer; it cannot take over the job."),
                Arguments.of(
                        new GearEdit.LabelPart(MIXER, new PartId("input-2"), "vocal mic"),
                        "name",
                        "Input 1 is already called Vocal mic. Give each its own name."),
                Arguments.of(
                        new GearEdit.LabelPart(MIXER, new PartId("input-2"), "Main"),
                        "name",
                        "Main is already called Main. Give each its own name."),
                Arguments.of(
                        new WiringEdit.Connect(OUT, THRU),
                        "to",
                        "Voice board MIDI OUT and Vocal mixer MIDI THRU both send. A link goes from an OUT "
                                + "or THRU to an IN."),
                Arguments.of(new WiringEdit.Disconnect(THRU, IN), "link", "That link is no longer there."),
                Arguments.of(
                        new SwitchEdit.AddStep(at(1), step(GONE, "mute:input-1")),
                        "step",
                        "That box is no longer in the rig. Choose another."),
                Arguments.of(
                        new SwitchEdit.AddStep(at(1), step(MIXER, "toggle-mute:input-1")),
                        "step",
                        "Vocal mixer cannot do that; its chart has no line for it."),
                Arguments.of(
                        new SwitchEdit.AddStep(at(5), step(MIXER, "mute:input-1")),
                        "step",
                        "Voice board has 4 switches in a bank, so there is no switch 5"),
                Arguments.of(
                        new SwitchEdit.RemoveStep(at(1), Moment.PRESS, 0, step(MIXER, "open:main")),
                        "step",
                        "This step was changed meanwhile. Look again and repeat."));
    }

    @ParameterizedTest
    @MethodSource("refusals")
    void whatCannotBeDoneIsRefusedAtItsField(Edit edit, String field, String words) {
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> edit.apply(PLAN))
                .satisfies(refused -> {
                    assertThat(refused.words()).isEqualTo(words);
                    assertThat(refused.field()).isEqualTo(field);
                });
    }

    @Test
    void removingABoxWithItsStepsLeavesNothingOfIt() {
        Plan without = MuteBoard.with(new GearEdit.RemoveDevice(MIXER, true));
        assertThat(without.rig().devices()).extracting(d -> d.id()).containsExactly(BOARD);
        assertThat(without.rig().links()).isEmpty();
        assertThat(without.switches().assignments()).isEmpty();
    }

    @Test
    void swappedHardwareKeepsJobCablesAndStepsAndWhatFitsOfItsSettings() {
        Plan swapped = MuteBoard.with(
                new GearEdit.ChangeSetting(BOARD, Purpose.SEND_CHANNEL.id(), "7"),
                new GearEdit.SwapHardware(BOARD, Library.FOUR_SWITCH_PROGRAM_BOARD));
        assertThat(swapped.rig().setting(BOARD, Purpose.SEND_CHANNEL)).contains(7);
        assertThat(swapped.rig().links()).isEqualTo(PLAN.rig().links());
        assertThat(swapped.switches()).isEqualTo(PLAN.switches());
        Plan other = MuteBoard.edited(swapped, new GearEdit.SwapHardware(BOARD, Library.FOUR_SWITCH_DESK_BOARD));
        assertThat(other.rig().device(BOARD).settings()).isEmpty();
        assertThat(other.rig().models())
                .extracting(m -> m.id().text())
                .containsExactly("four-switch-desk-board", "rack-mixer-24");
    }

    @Test
    void tapeComesOffWithAnEmptyName() {
        Plan plan = MuteBoard.with(
                new GearEdit.LabelPart(MIXER, new PartId("input-1"), " "),
                new SwitchEdit.NameSwitch(at(1), "Voice on"));
        assertThat(plan.rig().partName(MIXER, new PartId("input-1"))).isEqualTo(new TapeLabel("Input 1"));
        assertThat(plan.switches().at(at(1)).label()).contains(new TapeLabel("Voice on"));
        assertThat(new SwitchEdit.NameSwitch(at(1), "")
                        .apply(plan)
                        .switches()
                        .at(at(1))
                        .label())
                .isEmpty();
    }

    @Test
    void stepsMoveUpOnePlaceAndTheFirstStaysFirst() {
        Plan plan = MuteBoard.with(
                new SwitchEdit.RaiseStep(at(1), Moment.PRESS, 2, step(MIXER, "open:input-1")),
                new SwitchEdit.RaiseStep(at(1), Moment.PRESS, 0, step(MIXER, "open:return-1")));
        assertThat(plan.switches().at(at(1)).steps())
                .extracting(s -> s.action().key())
                .containsExactly("open:return-1", "open:input-1", "open:return-2", "open:main");
    }

    @Test
    void actionsAreFoundByWordsInAnyOrderTapedPartsFirst() {
        List<Offer> offers = new Offers(PLAN).find(at(1), "RETURN mute");
        assertThat(offers)
                .extracting(Offer::words)
                .containsExactly(
                        "Vocal mixer: mute Vocal reverb return",
                        "Vocal mixer: mute Vocal delay return",
                        "Vocal mixer: mute Return 3",
                        "Vocal mixer: mute Return 4");
        assertThat(offers.getFirst().compiled().messages())
                .extracting(m -> m.hex())
                .containsExactly("B1 38 7F");
        assertThat(new Offers(PLAN).find(at(1), "input 1 open"))
                .extracting(Offer::words)
                .contains("Vocal mixer: open Vocal mic");
        assertThat(new Offers(PLAN).find(at(1), "")).hasSize(48);
    }

    /** The channel up/down board sends programs 1 and 0 on a channel that counts up with its banks. */
    @Test
    void boardsThatCannotBeProgrammedSendWhatTheirBankSays() {
        Model upDown = Library.find(new ModelId("channel-up-down-board")).orElseThrow();
        Model presets = Library.find(new ModelId("floor-modeller")).orElseThrow();
        Plan plan = MuteBoard.edited(
                Plan.empty(new TapeLabel("Steps")),
                new GearEdit.AddDevice("Steps", upDown),
                new GearEdit.AddDevice(
                        "Sounds",
                        presets.withImplementation(
                                Implementation.of(Chart.of("programs from 0\nselect Preset 0..9: pc 0..9")))),
                new SwitchEdit.AddStep(
                        new SwitchAt(new DeviceId("steps"), 3, 2), step(new DeviceId("sounds"), "select:preset-0")),
                new SwitchEdit.AddStep(
                        new SwitchAt(new DeviceId("steps"), 3, 1), step(new DeviceId("sounds"), "select:preset-0")));
        List<CompiledSwitch> compiled = new Compiler(plan).all();
        assertThat(compiled.get(1).allSteps().getFirst().messages())
                .extracting(m -> m.hex())
                .containsExactly("C2 00");
        assertThat(compiled.get(1).allSteps().getFirst().obstacle()).contains(new Obstacle.NoPath());
        assertThat(compiled.get(0).allSteps().getFirst().obstacle())
                .contains(new Obstacle.SendsItsOwn(MessageType.PROGRAM_CHANGE, 1));
        assertThat(new FactoryRun(MessageType.CONTROL_CHANGE, List.of(80, 81)).message(2, 1, BankChange.NUMBERS))
                .contains(new FactoryMessage(MessageType.CONTROL_CHANGE, 82));
    }

    private static GearEdit channel(String typed) {
        return new GearEdit.ChangeSetting(MIXER, Purpose.RECEIVE_CHANNEL.id(), typed);
    }
}
