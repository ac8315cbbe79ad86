package embrack.app.wiring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.edit.GearEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.PortId;
import embrack.core.plan.Plan;
import embrack.core.power.PowerPlan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Socket;
import embrack.core.way.Ways;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the pages of the wiring room say of the demo rig. */
class WiringViewTests {

    private static final Plan DEMO = demo();

    @ParameterizedTest
    @CsvSource({
        "'', Whole",
        "port:quay-board.out, OnPort",
        "device:merger, OnDevice",
        "link:quay-board.out~merger.in-1, OnLink",
        "link:merger.in-1~quay-board.out, OnLink",
        "switch:quay-board.1.10, OnSwitch",
        "switch:quay-board.9.1, Whole",
        "device:gone, Whole",
        "port:quay-board, Whole",
        "port:.out, Whole",
        "link:quay-board.out, Whole",
        "x:y, Whole"
    })
    void addressesAreRead(String at, String focus) {
        assertThat(Focus.parse(DEMO, at, "").getClass().getSimpleName()).isEqualTo(focus);
    }

    @Test
    void aSwitchLightsItsPathAndNothingElse() {
        WiringPage page = page("switch:quay-board.1.1", "");
        assertThat(page.picture().boxes())
                .filteredOn(box -> box.tone().equals("lit"))
                .extracting(WiringPicture.Box::name)
                .containsExactlyInAnyOrder(
                        "Quay board",
                        "Merger",
                        "Cue merger",
                        "Thru box",
                        "Rack merger",
                        "Playback interface",
                        "Computer A",
                        "Piano A");
        assertThat(page.picture().lines())
                .filteredOn(line -> line.tone().equals("lit"))
                .hasSize(7);
        WayView way = page.press().ways().getFirst();
        assertThat(way)
                .extracting(WayView::title, WayView::best, WayView::usual, WayView::worst)
                .containsExactly("Quay board to Piano A", "5.23", "7.06", "8.89");
        assertThat(way.judgement()).isEqualTo("Under 30 ms nobody feels it: a start or a change.");
        assertThat(way.biggest()).startsWith("Most of it: buffer of 128 samples at 48 kHz, heard one later, Piano A.");
        assertThat(page.press().stopped()).isEmpty();
        assertThat(page("switch:choir-board.1.3", "").press().stopped())
                .containsExactly("Choir mixer: open Small choir");
    }

    @Test
    void aPortSaysWhatFitsAndWhyNotTheRest() {
        WiringPage page = page("port:side-board.usb", "");
        assertThat(page.port().partners())
                .extracting(PortPanel.Partner::words)
                .contains("Computer A USB 3", "Pictures USB 1")
                .doesNotContain("Computer A USB 1");
        assertThat(page.port().others())
                .extracting(PortPanel.Reason::why)
                .anyMatch(why -> why.startsWith("Computer A USB 1 already holds the link"));
        assertThat(page.picture().boxes().stream()
                        .flatMap(box -> box.plugs().stream())
                        .filter(plug -> plug.tone().equals("fits")))
                .hasSameSizeAs(page.port().partners());
    }

    @Test
    void aDeviceSaysWhomItReachesAndWhatDiesWithIt() {
        DevicePanel interfaces = page("device:playback-interface", "").device();
        assertThat(interfaces.loss())
                .isEqualTo("Single point: without it go Quay board, bank A, switches 1, 2, 9 and 10; Side "
                        + "board, bank 1, switches 1, 2, 3, 4, 5, 7 and 8.");
        assertThat(interfaces.passes())
                .extracting(DevicePanel.PassRow::from, DevicePanel.PassRow::to, DevicePanel.PassRow::words)
                .containsExactly(
                        tuple("MIDI IN", "Computer A", "passes everything"),
                        tuple("MIDI IN", "Computer B", "passes everything"));
        assertThat(interfaces.reached().from())
                .extracting(DevicePanel.Reach::name)
                .containsExactly("Quay board", "Side board", "Keys", "Player A");
        DevicePanel supply = page("device:tablet-supply", "").device();
        assertThat(supply.power()).isEqualTo("Runs from mains.");
        DevicePanel piano = page("device:piano-a", "").device();
        assertThat(piano.standing().isApp()).isTrue();
        assertThat(piano.standing().hosts())
                .extracting(DevicePanel.Choice::words)
                .containsExactly("Computer A", "Computer B", "Tracks tablet");
        assertThat(piano.standing().twins())
                .filteredOn(DevicePanel.Choice::isCurrent)
                .extracting(DevicePanel.Choice::words)
                .containsExactly("Piano B");
        assertThat(page("device:quay-board", "piano-a").device().reached().ways())
                .singleElement()
                .satisfies(way -> assertThat(way.hops()).hasSize(7));
    }

    @Test
    void aLinkSaysWhatItLacksAndWhatGoesOverIt() {
        LinkPanel wireless =
                page("link:stage-bridge.bluetooth~tracks-tablet.bluetooth", "").link();
        assertThat(wireless.lack()).startsWith("The app or driver for wireless MIDI is missing in Tracks tablet.");
        assertThat(wireless.caution()).startsWith("Radio: keep to what is licensed");
        LinkPanel cable = page("link:thru-box.thru-2~loop-table.in", "").link();
        assertThat(cable.lack()).isEmpty();
        assertThat(cable.ways()).contains("Quay board to Loop table", "Side board to Guitar sounds");
        assertThat(cable.loss())
                .isEqualTo("Single point: without it go Quay board, bank A, switches 5, 6, 7 and 8; Quay board, "
                        + "bank B, switches 1, 2 and 5; Side board, bank 1, switches 7 and 8.");
        assertThat(page("link:computer-a.usb-1~piano-a.in", "").link().loss())
                .isEqualTo("No switch goes with it alone.");
        assertThat(page("link:tablet-supply.plug~tracks-tablet.power", "")
                        .link()
                        .caution())
                .contains("Never lift a safety earth");
    }

    @Test
    void whatFailsTogetherStandsTogetherAndThePairIsCompared() {
        FailuresPage page = FailuresPage.of(DEMO);
        assertThat(page.switches()).isEqualTo(29);
        assertThat(page.points().getFirst().singles())
                .extracting(FailuresPage.Single::fails)
                .containsExactly(
                        "5-pin link from Merger OUT to Cue merger IN 1",
                        "5-pin link from Cue merger OUT to Thru box IN",
                        "Merger",
                        "Cue merger",
                        "Thru box");
        assertThat(page.points()).extracting(FailuresPage.Point::lost).isSortedAccordingTo((a, b) -> b - a);
        assertThat(page.points())
                .filteredOn(point -> point.singles().stream()
                        .anyMatch(single -> single.fails().equals("Charger")))
                .singleElement()
                .satisfies(point -> assertThat(point.lost())
                        .as("two whole, and two thirds of the third")
                        .isEqualTo(3));
        FailuresPage.PairView pianos = page.pairs().getFirst();
        assertThat(pianos.survives()).contains("Computer A", "Piano A");
        assertThat(pianos.survivesNot())
                .contains("Playback interface", "Rack merger")
                .doesNotContain("Computer A");
        assertThat(pianos.differences())
                .extracting(d -> d.what())
                .as("one of the computers sends the cues")
                .containsExactly("Buffer", "Computer, USB 2");
    }

    @Test
    void powerAndSoundAreTold() {
        PowerPage power = PowerPage.of(DEMO.rig(), new PowerPlan(DEMO.rig()));
        assertThat(power.ports())
                .extracting(PowerPage.PortRow::port, PowerPage.PortRow::draw, PowerPage.PortRow::percent)
                .contains(tuple("Tablet supply Plug", 2000, 83));
        SoundPage sound = SoundPage.of(DEMO, "open", "");
        assertThat(sound.players())
                .filteredOn(player -> player.name().equals("Player A"))
                .singleElement()
                .satisfies(player -> assertThat(player.on()).contains("click on Output 3", "heartbeat on Output 8"));
        assertThat(sound.players())
                .as("what leads bring to it says what comes out of it")
                .noneMatch(player -> player.name().equals("Playback interface"));
    }

    @Test
    void aLinkCanBeMeasuredAndIsStillTheSameLineInThePicture() {
        Link link = DEMO.rig()
                .link(
                        new Socket(new DeviceId("merger"), new PortId("out")),
                        new Socket(new DeviceId("cue-merger"), new PortId("in-1")))
                .orElseThrow();
        Plan measured = new WiringEdit.Measure(link.from(), link.to(), "9").apply(DEMO);
        assertThat(WiringPicture.of(measured.rig())).isEqualTo(WiringPicture.of(DEMO.rig()));
        Plan without = new GearEdit.RemoveDevice(new DeviceId("merger"), true).apply(DEMO);
        assertThat(WiringPicture.of(without.rig()).boxes()).hasSize(32);
        assertThat(Focus.lit(new Focus.Whole(), DEMO.rig(), List.of())).isEqualTo(Optional.empty());
        assertThat(new Ways(without.rig()).reach(new DeviceId("quay-board"))).isEmpty();
    }

    private static WiringPage page(String at, String to) {
        return WiringPage.of(DEMO, Focus.parse(DEMO, at, to), LoadForm.NONE);
    }

    private static Plan demo() {
        try {
            return PlanFile.read(Files.readString(Path.of("../docs/examples/quay-rig.json")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
