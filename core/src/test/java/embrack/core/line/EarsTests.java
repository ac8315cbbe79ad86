package embrack.core.line;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.rig.DeviceId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EarsTests {

    private static final DeviceId BOARD = new DeviceId("board");

    /** A board by its USB at one computer and behind an adapter at another: each press counts once, at the first. */
    @Test
    void aBoxThatComesInAtTwoPortsIsHeardAtTheFirst() {
        Ears ears = Ears.NONE;
        for (long at = 0; at < 5_000_000; at += 500_000) {
            assertThat(ears.hears(BOARD, "usb", at)).isTrue();
            ears = ears.after(BOARD, "usb", at);
            assertThat(ears.hears(BOARD, "adapter", at + 4_000)).isFalse();
            assertThat(ears.after(BOARD, "adapter", at + 4_000)).isEqualTo(ears);
            assertThat(ears.hears(new DeviceId("other"), "adapter", at)).isTrue();
        }
        assertThat(ears.hears(BOARD, "adapter", 5_500_000))
                .as("a second after its port was pulled")
                .isFalse();
        ears = ears.after(BOARD, "adapter", 5_500_001);
        assertThat(ears.hears(BOARD, "usb", 5_500_002)).isFalse();
    }

    /** MIDI 1.0, "Active Sensing": something at least every 300 ms, once it was said; the tenth is common practice. */
    @ParameterizedTest
    @CsvSource({"300, false", "330, false", "331, true", "5000, true"})
    void whoSaidThatHeIsThereAndFallsSilentIsMissed(int millis, boolean missed) {
        Sensing sensing = Sensing.NONE
                .heard("never said it", 0, false)
                .heard("board", 0, true)
                .heard("board", 200_000, false);
        assertThat(sensing.silent(200_000 + millis * 1_000L).contains("board")).isEqualTo(missed);
        assertThat(sensing.silent(90_000_000)).containsExactly("board");
        assertThat(sensing.heard("board", 90_000_000, true).silent(90_000_001)).isEmpty();
    }
}
