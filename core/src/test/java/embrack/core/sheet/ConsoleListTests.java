package embrack.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.SoundFaults;
import embrack.core.gear.Sound;
import embrack.core.rig.DeviceId;
import embrack.core.sound.SoundPaths;
import java.util.List;
import org.junit.jupiter.api.Test;

class ConsoleListTests {

    private static ConsoleList list(Sketch sketch) {
        return ConsoleList.of(new SoundPaths(sketch.rig()), new DeviceId("mixer"));
    }

    @Test
    void saysWhatComesInAndWhatGoesOut() {
        ConsoleList list = list(SoundFaults.mill());
        assertThat(list.inputs())
                .extracting(i -> "%d %s | %s | %s | %s | %s"
                        .formatted(i.number(), i.words(), i.over(), i.lead(), i.level(), i.who()))
                .containsExactly(
                        "1 click of Tablet | Split, DI | XLR |  | [Drum ears]",
                        "2 tracks of Tablet | Split, DI | XLR |  | [house, Drum ears]",
                        "3 Voice |  | XLR | \u221250 dBu | [house, Wedge]");
        assertThat(list.outputs())
                .extracting(o -> o.socket() + " > " + o.to() + ": " + o.mix())
                .containsExactly(
                        "Main left > House: [Input 2, Input 3]",
                        "Main right > House: [Input 2, Input 3]",
                        "Aux 1 > Drum ears: [Input 1, Input 2 \u22126 dB]",
                        "Aux 2 > Wedge: [Input 3]");
        assertThat(ConsoleList.consoles(new SoundPaths(SoundFaults.mill().rig())))
                .containsExactly(new DeviceId("mixer"));
    }

    /** Sides before players, and click with nothing that the house hears. */
    @Test
    void whatIsMissedLeastIsSummedFirst() {
        Sketch sketch = SoundFaults.mill()
                .box("Interface", "tablet-sound-interface")
                .feed("interface.output-1", List.of(Sound.PADS), List.of())
                .feed("interface.output-2", List.of(Sound.PADS), List.of())
                .link("interface.output-1 > mixer.input-4", "interface.output-2 > mixer.input-5");
        ConsoleList list = list(sketch);
        assertThat(list.inputs())
                .extracting(ConsoleList.Input::isStereo)
                .containsExactly(false, false, false, true, false);
        assertThat(list.sums(5)).isEmpty();
        assertThat(list.sums(4))
                .extracting(ConsoleList.Sum::words)
                .containsExactly("Inputs 4 and 5 to one: pads of Interface in mono, by a summing box.");
        Sketch doubled = SoundFaults.mill()
                .box("Interface", "tablet-sound-interface")
                .feed("interface.output-1", List.of(Sound.CLICK), List.of())
                .feed("interface.output-2", List.of(Sound.CLICK), List.of())
                .link("interface.output-1 > mixer.input-4", "interface.output-2 > mixer.input-5");
        assertThat(list(doubled).inputs().get(3).words())
                .as("one sound at two outputs has no sides")
                .isEqualTo("click of Interface");
        assertThat(list(SoundFaults.two()).inputs().getLast().words())
                .as("of a pair one is heard")
                .isEqualTo("click of Player A or Player B");
        assertThat(List.of(list.tooMany(5), list.tooMany(4), list.tooMany(1)))
                .as("what cannot be summed finds no room")
                .containsExactly(0, 0, list.inputs().size() - 1 - list.sums(1).size());
        assertThat(list.sums(1)).noneMatch(sum -> sum.words().contains("click"));
    }
}
