package embrack.core.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embrack.core.Sketch;
import embrack.core.chart.Aspect;
import embrack.core.gear.Ear;
import embrack.core.gear.Sound;
import embrack.core.level.Gain;
import embrack.core.level.Nominal;
import embrack.core.rig.Buffering;
import embrack.core.rig.Length;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class SoundPathsTests {

    private static final Sketch TABLET = Sketch.of("Sound")
            .box("Tablet", "tablet")
            .feed("tablet.headphones-left", List.of(Sound.CLICK), List.of())
            .feed("tablet.headphones-right", List.of(Sound.TRACKS), List.of())
            .box("Split", "headphone-split")
            .box("DI", "di-passive-2")
            .box("Mixer", "rack-mixer-24")
            .box("House", "house-speakers")
            .box("Ears", "in-ears-wired")
            .link(
                    "tablet.headphones-left > split.plug-left",
                    "tablet.headphones-right > split.plug-right",
                    "split.left > di.in-1",
                    "split.right > di.in-2",
                    "di.out-1 > mixer.input-1",
                    "di.out-2 > mixer.input-2",
                    "mixer.main-left > house.in-left",
                    "mixer.main-right > house.in-right",
                    "mixer.ear-1 > ears.in");

    /** Decibels: IEC 60027-3 and ISO 80000-3; dBu and dBV by definition; the figures from handbooks, from memory. */
    @Test
    void decibelsAreThoseOfTheHandbooks() {
        assertThat(Gain.ratio(200, 100).decibels()).isCloseTo(6.02, within(0.005));
        assertThat(Gain.UNITY.and(Gain.UNITY).decibels()).isCloseTo(6.02, within(0.005));
        assertThat(Gain.UNITY.beside(Gain.UNITY).decibels()).isCloseTo(3.01, within(0.005));
        assertThat(Gain.UNITY.and(Gain.UNITY.inverted()).isSilent()).isTrue();
        assertThat(Gain.decibels(-20).factor()).isCloseTo(0.1, within(1e-12));
        assertThat(Nominal.parse("0 dBV").lowDbu()).isCloseTo(2.21, within(0.01));
        assertThat(Nominal.parse("-10 dBV").lowDbu()).isCloseTo(-7.78, within(0.005));
        assertThat(Gain.NONE.words() + " " + Gain.decibels(-6).words()).isEqualTo("silent \u22126.0 dB");
    }

    /** Speed of sound: 331.3 + 0.606 for each degree Celsius, textbooks of acoustics, from memory. */
    @Test
    void soundTakesItsTime() {
        assertThat(Air.micros(Length.ofMetres(7)) / 1000.0).isCloseTo(20.4, within(0.05));
        assertThat(Buffering.micros(128, 48_000)).isEqualTo(2_667);
        assertThat(SoundLoad.bits(32, 48_000, 24) / 1e6).isCloseTo(36.9, within(0.05));
    }

    @Test
    void aHeadphoneSplitIsFollowedSideBySide() {
        var paths = new SoundPaths(TABLET.rig());
        Heard heard = paths.heard(Stand.OPEN);
        assertThat(paths.sources().stream().map(s -> s.words(TABLET.rig())))
                .containsExactly("tracks of Tablet", "click of Tablet");
        Source click = paths.source("tablet.click").orElseThrow();
        Listener house = paths.listener("house.house").orElseThrow();
        assertThat(heard.arrival(click, house).gain().words())
                .as("the gain of the input makes good for the DI")
                .isEqualTo("0.0 dB");
        assertThat(heard.way(click, house))
                .extracting(strand -> strand.from().device() + ">" + strand.to().device())
                .containsExactly(
                        "tablet>split",
                        "split>split",
                        "split>di",
                        "di>di",
                        "di>mixer",
                        "mixer>mixer",
                        "mixer>mixer",
                        "mixer>house",
                        "mixer>house");
        assertThat(heard.arrival(click, paths.listener("ears.in-ears").orElseThrow())
                        .arrives())
                .isFalse();
        Stand muted = (device, gate) -> gate.part().text().equals("input-1") && gate.aspect() == Aspect.MUTED
                ? OptionalInt.of(1)
                : OptionalInt.empty();
        assertThat(paths.heard(muted).arrival(click, house).isHeard()).isFalse();
        assertThat(paths.heard(muted).isHeard(paths.source("tablet.tracks").orElseThrow()))
                .isTrue();
    }

    @Test
    void whatIsOnlySaidCountsUntilALeadIsThere() {
        Sketch sketch = Sketch.of("Said")
                .box("Interface", "tablet-sound-interface")
                .feed("interface.output-1", List.of(Sound.TRACKS), List.of(Ear.HOUSE, Ear.STREAM));
        var paths = new SoundPaths(sketch.rig());
        assertThat(paths.listeners()).extracting(Listener::key).containsExactly("house", "stream");
        assertThat(paths.heard(Stand.OPEN).isHeard(paths.sources().getFirst())).isTrue();
        sketch.box("Mixer", "rack-mixer-24").link("interface.output-1 > mixer.input-1");
        assertThat(new SoundPaths(sketch.rig()).listeners()).isEmpty();
    }
}
