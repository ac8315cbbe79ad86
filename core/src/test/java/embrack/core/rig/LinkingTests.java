package embrack.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.Sketch;
import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.gear.Ear;
import embrack.core.gear.Sound;
import embrack.core.way.Ways;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LinkingTests {

    private static final Sketch RIG = Sketch.of("Everything")
            .box("Board", "ten-switch-treadle-board")
            .box("Foot box", "two-switch-foot-box")
            .box("Mixer", "rack-mixer-24")
            .box("Computer", "computer")
            .box("Tablet", "tablet")
            .box("Breakout", "usb-breakout")
            .box("Hub", "usb-hub-4-plain")
            .box("Bridge", "bluetooth-bridge-pair")
            .box("Other bridge", "bluetooth-bridge-pair")
            .box("Router", "router-wi-fi")
            .box("Supply", "pedal-supply-5")
            .box("Desk board", "four-switch-desk-board")
            .app("Player", "linear-timeline-player", "computer")
            .app("Sounds", "instrument-host-layer", "computer")
            .app("Pages", "tablet-track-player", "tablet")
            .app("Session", "network-session", "computer")
            .box("Homeless", "launch-grid-player");

    /** Two ports, what joins them, and why they cannot be joined; both empty is a mistake in the table. */
    @ParameterizedTest(name = "{0} > {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "board.out | mixer.in | FIVE_PIN |",
                "foot-box.trs-out | mixer.in | FIVE_PIN |",
                "board.usb | computer.usb-1 | USB |",
                "board.usb | hub.usb-2 | USB |",
                "bridge.bluetooth | other-bridge.bluetooth | WIRELESS |",
                "bridge.bluetooth | tablet.bluetooth | WIRELESS |",
                "computer.network | router.lan-1 | NETWORK |",
                "tablet.wi-fi | router.wi-fi | WIRELESS |",
                "session.session | computer.network | | Session runs on Computer itself; a session asks for the other "
                        + "computer. Join it to the session there.",
                "session.session | mixer.network | NETWORK |",
                "computer.usb-1 | player.in | INSIDE |",
                "player.out | sounds.in | INSIDE |",
                "session.out | player.in | INSIDE |",
                "supply.dc-1 | breakout.dc-9-v | POWER |",
                "board.out | board.in | | Both ends are in Board. A link goes from one box to another.",
                "board.out | desk-board.out | | Board MIDI OUT and Desk board MIDI OUT both send. A link "
                        + "goes from an OUT or THRU to an IN.",
                "mixer.in | board.out | | Mixer MIDI IN only receives, so the link starts at Board MIDI OUT. "
                        + "Swap the two ends.",
                "mixer.in | board.in | | Mixer MIDI IN and Board MIDI IN both only receive. A link starts at "
                        + "an OUT or THRU.",
                "board.out | computer.usb-1 | | Board MIDI OUT is 5-pin and Computer USB 1 is USB host; one "
                        + "does not fit the other. A USB interface, 1 in 1 out between them would do it; there is none "
                        + "spare in this rig.",
                "board.usb | mixer.in | | Board USB is USB device and Mixer MIDI IN is 5-pin; one does not "
                        + "fit the other. A USB breakout box between them would do it; you have one spare: Breakout.",
                "board.usb | desk-board.usb | | Board USB is USB device and Desk board USB is USB device; "
                        + "one does not fit the other. No one box joins the two; go by way of a computer.",
                "board.out | tablet.bluetooth | | Board MIDI OUT is 5-pin and Tablet Bluetooth is Bluetooth; "
                        + "one does not fit the other. A Bluetooth bridge, one of a pair between them would do it; you "
                        + "have one spare: Bridge.",
                "supply.dc-1 | mixer.in | | Supply DC 1 is power and Mixer MIDI IN is 5-pin; one does not "
                        + "fit the other. Messages do not pass Supply DC 1.",
                "hub.computer | breakout.usb-host | | Breakout USB HOST is kept for one controller; a hub "
                        + "does not work in it. Plug the controller itself in, or put the hub into a computer.",
                "tablet.wi-fi | computer.wi-fi | | Tablet Wi-Fi and Computer Wi-Fi do not meet on Wi-Fi by "
                        + "themselves. Join each to a router.",
                "computer.usb-1 | pages.in | | Computer is in Computer and Pages is in Tablet; inside means "
                        + "one computer. A network session or an interface leads from one to the other.",
                "player.out | homeless.in | | Homeless lives in no computer yet. Say first which one it runs on.",
                "computer.network | player.in | | Messages cross a network in a session only. Put a network "
                        + "session into the computer and join Player to that.",
            })
    void portsAreJoinedByTheirRulesOrRefusedWithAWayOut(String from, String to, LinkKind kind, String refusal) {
        assertThat(Linking.refusal(RIG.rig(), Sketch.socket(from), Sketch.socket(to)))
                .isEqualTo(Optional.ofNullable(refusal));
        if (refusal == null) {
            Rig joined = Sketch.on(RIG.plan()).link(from + " > " + to).rig();
            assertThat(joined.kind(joined.links().getFirst())).isEqualTo(kind);
        }
    }

    @Test
    void aPortHoldsWhatItCan() {
        Sketch full = Sketch.on(RIG.plan())
                .link(
                        "board.usb > computer.usb-1",
                        "computer.usb-1 > player.in",
                        "computer.usb-1 > sounds.in",
                        "player.out > sounds.in",
                        "tablet.wi-fi > router.wi-fi",
                        "computer.wi-fi > router.wi-fi",
                        "session.session > mixer.network");
        assertThat(full.rig().links()).hasSize(7);
        assertThat(refusal(full, "desk-board.usb > computer.usb-1"))
                .contains("Computer USB 1 already holds the link from Board USB to Computer USB 1. It takes "
                        + "one; pull that one first.");
        assertThat(refusal(full, "player.out > sounds.in")).contains("Player Out and Sounds In are joined already.");
        assertThat(refusal(full, "mixer.network > router.lan-1"))
                .as("a session needs no socket of its own")
                .isEmpty();
    }

    @Test
    void theOnlySocketIsForOneThing() {
        Sketch taken = Sketch.on(RIG.plan()).link("desk-board.usb > tablet.socket");
        String ways = "The only socket of Tablet is for 1 of these at once: Power and Socket. Ways out: a powered "
                + "adapter in it, which takes power and a controller; or wireless for one of them.";
        assertThat(refusal(taken, "supply.dc-1 > tablet.power")).contains(ways);
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> taken.feed("tablet.headphones-left", List.of(Sound.CLICK), List.of(Ear.IN_EARS)))
                .withMessageContaining("is for 1 of these at once: Socket and sound.");
        Sketch adapted = Sketch.on(RIG.plan())
                .box("Adapter", "tablet-adapter")
                .link(
                        "adapter.tablet > tablet.socket",
                        "desk-board.usb > adapter.usb-1",
                        "supply.dc-1 > adapter.power");
        assertThat(new Ways(adapted.rig()).reach(new DeviceId("desk-board"))).contains(new DeviceId("tablet"));
    }

    @Test
    void unlikePlugsNeedAnAdapter() {
        Sketch sketch = Sketch.on(RIG.plan()).link("foot-box.trs-out > mixer.in", "board.out > bridge.in");
        assertThat(sketch.rig().links())
                .extracting(link -> Linking.adapter(sketch.rig(), link).orElse(""))
                .containsExactly("", "TRS type A to 5-pin adapter");
    }

    @Test
    void aComputerThatGoesTakesTheLinksInsideItAndLeavesTheAppsHomeless() {
        Sketch sketch = Sketch.on(RIG.plan())
                .link(
                        "board.usb > computer.usb-1",
                        "computer.usb-1 > player.in",
                        "player.out > sounds.in",
                        "session.session > mixer.network");
        Rig without = sketch.edit(new GearEdit.RemoveDevice(new DeviceId("computer"), true))
                .rig();
        assertThat(without.links()).extracting(without::words).containsExactly("from Session Session to Mixer Network");
        assertThat(without.device(new DeviceId("player")).spot().host()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"3, 3 m", "2.5 m, 2.5 m", "'0,5', 0.5 m", "15m, 15 m", "0.25, 0.25 m", "10, 10 m", "200, 200 m"})
    void lengthsAreTypedInMetres(String typed, String words) {
        assertThat(Length.parse(typed).words()).isEqualTo(words);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "long", "-3", "0", "201", "3 ft", "1.234", "99999"})
    void lengthsThatNoCableHasAreRefused(String typed) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Length.parse(typed))
                .withMessageMatching(".*(in metres|0\\.1 to 200 m).*");
    }

    private static Optional<String> refusal(Sketch sketch, String link) {
        String[] ends = link.split(" > ");
        return Linking.refusal(sketch.rig(), Sketch.socket(ends[0]), Sketch.socket(ends[1]));
    }
}
