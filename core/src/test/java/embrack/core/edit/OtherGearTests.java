package embrack.core.edit;

import static embrack.core.MuteBoard.BOARD;
import static embrack.core.MuteBoard.MIXER;
import static embrack.core.MuteBoard.at;
import static embrack.core.MuteBoard.step;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import embrack.core.MuteBoard;
import embrack.core.chart.Chart;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Told;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.gear.Implementation;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.Purpose;
import embrack.core.gear.Quirks;
import embrack.core.gear.SettingId;
import embrack.core.gear.library.Library;
import embrack.core.midi.Message;
import embrack.core.offer.Offer;
import embrack.core.offer.Offers;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheet;
import embrack.core.sheet.Sheets;
import embrack.core.switches.SwitchAt;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Plans with gear other than boards and mixers. */
class OtherGearTests {

    private static final DeviceId BOX = new DeviceId("box");

    /** A search, the model, and the first action that is offered with its bytes on channel 2. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "level input 3 to 90   | stage-mixer-12        | Box: set level of Input 3 to 90 | B1 0C 5A",
                "LEVEL main at 200     | projection-server     | -                               | -",
                "level layer           | projection-server     | Box: set level of Layer 1 to 0  | B1 15 00",
                "patch 12              | sounds-switcher       | Box: select Patch 12            | C1 0B",
                "preset 130            | floor-modeller        | Box: select Preset 130          | B1 20 01 C1 02",
                "snapshot 3            | floor-modeller        | Box: recall Snapshot 3          | B1 45 02",
                "chase 6               | scene-desk            | Box: switch on Chase 6          | 91 05 7F",
                "play timeline         | projection-server     | Box: play Timeline              | F0 7F 7F "
                        + "02 40 01 F7",
                "song 64               | tablet-track-player   | Box: load Song 64               | C1 3F",
                "next song             | tablet-track-player   | Box: next Song                  | ''",
            })
    void actionsOfAnyKindAreFoundByWords(String search, String model, String offer, String bytes) {
        List<Offer> offers = new Offers(with(model))
                .find(at(1), search).stream()
                        .filter(o -> o.step().device().equals(BOX))
                        .toList();
        if (offer.equals("-")) {
            assertThat(offers).isEmpty();
            return;
        }
        assertThat(offers.getFirst().words()).isEqualTo(offer);
        assertThat(String.join(
                        " ",
                        offers.getFirst().compiled().messages().stream()
                                .map(Message::hex)
                                .toList()))
                .isEqualTo(bytes);
    }

    @Test
    void twoMessagesForOneActionCountAsTwo() {
        Plan plan = with("floor-modeller");
        plan = new GearEdit.SwapHardware(BOARD, Library.FOUR_SWITCH_DESK_BOARD)
                .apply(MuteBoard.edited(plan, new SwitchEdit.ClearSwitch(at(1))));
        plan = MuteBoard.edited(
                plan,
                new GearEdit.ChangeSetting(BOX, Purpose.RECEIVE_CHANNEL.id(), "2"),
                new SwitchEdit.AddStep(at(4), step(BOX, "select:preset-130")));
        CompiledSwitch four = new Compiler(plan).compile(plan.switches().at(at(4)));
        assertThat(four.allSteps())
                .extracting(s -> s.obstacle().map(Object::toString).orElse("-"))
                .containsExactly("-", "OneTooMany[of=Optional.empty, most=2]");
        assertThat(four.sent()).hasSize(1);
        Report report = Report.of(plan);
        assertThat(report.findings())
                .extracting(f -> Told.of(f, report.plan()).what())
                .contains("The switch needs 3 messages; Voice board sends at most 2 in one press.");
    }

    @ParameterizedTest
    @CsvSource({"external, 1", "INTERNAL, 0", "1, 1"})
    void settingsWithWordsTakeTheWordOrItsNumber(String typed, int value) {
        Plan plan = new GearEdit.ChangeSetting(BOX, new SettingId("surface-mode"), typed)
                .apply(with("keyboard-workstation"));
        assertThat(plan.rig().setting(BOX, new SettingId("surface-mode"))).contains(value);
    }

    @Test
    void settingsRefuseWhatIsNotOnTheBox() {
        Plan plan = with("keyboard-workstation");
        assertRefused(plan, "surface-mode", "sometimes", "Write a whole number in digits.");
        assertRefused(plan, "surface-mode", "2", "Surface mode goes from internal to external; 2 is not on the box.");
        assertRefused(plan, "zone-1-channel", "17", "Zone 1 channel goes from 1 to 16; 17 is not on the box.");
    }

    private static void assertRefused(Plan plan, String setting, String typed, String words) {
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> new GearEdit.ChangeSetting(BOX, new SettingId(setting), typed).apply(plan))
                .withMessage(words);
    }

    @Test
    void sheetsSayWhatEachMemoryNeedsAndEveryMessage() {
        Plan plan = MuteBoard.edited(
                with("keyboard-workstation"), new GearEdit.ChangeSetting(BOX, Purpose.RECEIVE_CHANNEL.id(), "2"));
        Sheet box = Sheets.of(Report.of(plan)).stream()
                .filter(s -> s.title().equals("Box"))
                .findFirst()
                .orElseThrow();
        assertThat(box.sections().getFirst().lines())
                .extracting(Section.Line::words)
                .contains("Set MIDI receive channel to 2.", "Set Zone 1 channel to 1 in each memory that is used.");
        assertThat(box.sections().getLast().lines())
                .extracting(Section.Line::words)
                .containsExactly(
                        "Press WRITE, choose the setup, press WRITE again; without it the setup is gone at power-off.");

        Plan modeller = MuteBoard.edited(
                with("floor-modeller"),
                new GearEdit.ChangeSetting(BOX, Purpose.RECEIVE_CHANNEL.id(), "2"),
                new SwitchEdit.AddStep(new SwitchAt(BOARD, 2, 1), step(BOX, "select:preset-130")));
        Sheet board = Sheets.of(Report.of(modeller)).stream()
                .filter(s -> s.title().equals("Voice board"))
                .findFirst()
                .orElseThrow();
        Section.Messages two = (Section.Messages) board.sections().stream()
                .filter(s -> s.heading().startsWith("Bank B, switch 1"))
                .findFirst()
                .orElseThrow();
        assertThat(two.lines())
                .extracting(l -> l.number() + " " + l.message().bytes())
                .containsExactly("1 B1 20 01", "2 C1 02");
    }

    @Test
    void aNeighbourThatHearsAllChannelsIsNotOfferedAChannelOfItsOwn() {
        Model host = Library.find(new ModelId("instrument-host-straight")).orElseThrow();
        Model plugged = new Model(
                host.id(),
                host.name(),
                host.kind(),
                Library.RACK_MIXER.sockets(),
                host.surface(),
                host.memory(),
                host.implementation().with(host.implementation().quirks()),
                host.power());
        Model moved = plugged.withImplementation(
                Implementation.of(Chart.of("on Effect 1: cc 40 over 63\noff Effect 1: cc 40 under 64"))
                        .with(new Quirks(true, false, false, 0, false)));
        Plan plan = MuteBoard.edited(
                MuteBoard.plan(),
                new GearEdit.AddDevice("Host", moved),
                new WiringEdit.Connect(MuteBoard.THRU, new Socket(new DeviceId("host"), new PortId("in"))),
                new GearEdit.ChangeSetting(new DeviceId("host"), Purpose.RECEIVE_CHANNEL.id(), "9"));
        Finding finding = Report.of(plan).findings().stream()
                .filter(f -> f.code().equals("switches.also-moves"))
                .findFirst()
                .orElseThrow();
        assertThat(Told.of(finding, plan).why())
                .isEqualTo("What is meant for Vocal mixer reaches Host as well, and it listens to all channels.");
        assertThat(Report.of(plan).healing().of(finding))
                .extracting(healed -> healed.remedy().name())
                .containsExactly("keep-away");
        assertThat(plan.rig().name(MIXER).text()).isEqualTo("Vocal mixer");
    }

    @Test
    void hardwareThatTakesOverKeepsWhatFits() {
        Plan plan = MuteBoard.plan();
        Plan swapped = new GearEdit.SwapHardware(
                        MIXER, Library.find(new ModelId("stage-mixer-12")).orElseThrow())
                .apply(plan);
        assertThat(swapped.rig().links()).isEqualTo(plan.rig().links());
        assertThat(swapped.rig().device(MIXER).labels()).hasSize(3);
        assertThat(swapped.rig().setting(MIXER, Purpose.RECEIVE_CHANNEL)).contains(2);
        assertThat(Report.of(swapped).findings()).extracting(Finding::code).containsExactly("switches.cannot-send");
        Plan usbOnly = new GearEdit.SwapHardware(
                        BOARD, Library.find(new ModelId("two-switch-foot-box")).orElseThrow())
                .apply(MuteBoard.edited(plan, new SwitchEdit.ClearSwitch(at(3)), new SwitchEdit.ClearSwitch(at(4))));
        assertThat(usbOnly.rig().links()).isEmpty();
    }

    private static Plan with(String model) {
        return MuteBoard.with(
                new GearEdit.AddDevice("Box", Library.find(new ModelId(model)).orElseThrow()));
    }
}
