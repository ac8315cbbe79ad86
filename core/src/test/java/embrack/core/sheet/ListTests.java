package embrack.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Sketch;
import embrack.core.edit.WiringEdit;
import embrack.core.rig.Area;
import embrack.core.rig.DeviceId;
import org.junit.jupiter.api.Test;

class ListTests {

    private static final Sketch RIG = Sketch.of("Lists")
            .box("Foot box", "two-switch-foot-box")
            .box("Mixer", "rack-mixer-24")
            .box("Computer", "computer")
            .box("Keys", "pads-and-keys")
            .box("Spare board", "four-switch-program-board")
            .app("Tracks", "linear-timeline-player", "computer")
            .box("Tablet", "tablet")
            .box("Bridge", "bluetooth-bridge-pair")
            .link(
                    "foot-box.trs-out > mixer.in",
                    "keys.usb > computer.usb-1",
                    "computer.usb-1 > tracks.in",
                    "bridge.bluetooth > tablet.bluetooth")
            .edit(new WiringEdit.Measure(Sketch.socket("foot-box.trs-out"), Sketch.socket("mixer.in"), "4,5"))
            .edit(new WiringEdit.Stand(new DeviceId("mixer"), Area.RACK))
            .edit(new WiringEdit.Stand(new DeviceId("computer"), Area.RACK));

    @Test
    void onlyWhatIsCarriedIsOnTheCableList() {
        assertThat(CableList.of(RIG.rig()).rows())
                .extracting(CableList.Row::number, CableList.Row::kind, CableList.Row::length, CableList.Row::adapter)
                .containsExactly(tuple(1, "5-pin", "4.5 m", "TRS type A to 5-pin adapter"), tuple(2, "USB", "", ""));
        CableList.Row first = CableList.of(RIG.rig()).rows().getFirst();
        assertThat(first.fromLabel()).isEqualTo("1  Foot box TRS OUT > Mixer MIDI IN");
        assertThat(first.toLabel()).isEqualTo("1  Mixer MIDI IN < Foot box TRS OUT");
    }

    @Test
    void everyBoxIsInTheCaseOfItsPlaceOnceAndAppsTravelInTheirComputer() {
        PackList list = PackList.of(RIG.rig());
        assertThat(list.cases()).extracting(PackList.Case::name).containsExactly("Floor", "Rack", "Desk", "Spares");
        assertThat(list.cases().get(1).items())
                .extracting(PackList.Item::what, PackList.Item::note)
                .contains(
                        tuple("Computer (Computer)", "with Tracks on it"), tuple("Mixer (Rack mixer, 24 strips)", ""));
        assertThat(list.cases().getFirst().items())
                .extracting(PackList.Item::what)
                .contains("5-pin cable, 4.5 m", "TRS type A to 5-pin adapter", "USB cable", "set of batteries");
        assertThat(list.cases().getLast().items())
                .extracting(PackList.Item::what)
                .containsExactly("5-pin cable, 4.5 m", "USB cable", "Spare board (Four-switch program board)");
        assertThat(list.cases().stream()
                        .limit(3)
                        .flatMap(c -> c.items().stream())
                        .filter(i -> i.what().endsWith(")"))
                        .count())
                .as("seven boxes; the app is none")
                .isEqualTo(7);
    }
}
