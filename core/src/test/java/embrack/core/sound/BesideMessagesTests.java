package embrack.core.sound;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.offer.Missing;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What sound leads are to messages: nothing. */
class BesideMessagesTests {

    /** A keyboard that sends nothing yet, and a computer with an instrument host. */
    private static Sketch apart() {
        return Sketch.of("Apart")
                .box("Keys", "workstation-sound-over-usb")
                .box("Ears", "in-ears-wireless")
                .box("Laptop", "computer")
                .app("Host", "instrument-host-straight", "laptop")
                .link("laptop.usb-1 > host.in", "laptop.headphones-left > ears.in-left");
    }

    @Test
    void aWayOfSoundIsNoWayOfMessages() {
        Sketch joined = apart().link("keys.output-2 > ears.in-right");
        assertThat(codes(joined.step("keys 1: host on:effect-1")))
                .isEqualTo(codes(apart().step("keys 1: host on:effect-1")))
                .contains("switches.no-path");
    }

    private static List<String> codes(Sketch sketch) {
        return Report.of(sketch.plan()).findings().stream()
                .filter(finding -> !finding.code().startsWith("sound."))
                .map(Finding::code)
                .toList();
    }

    @Test
    void whoHasSoundLeadsAloneHasStillToJoin() {
        Sketch sketch = Sketch.of("Sound alone")
                .box("Board", "four-switch-floor-board")
                .box("Mixer", "rack-mixer-24")
                .box("House", "house-speakers")
                .link("mixer.main-left > house.in-left");
        assertThat(Missing.of(sketch.plan()).orElseThrow().step()).isEqualTo(Missing.Step.JOIN);
    }
}
