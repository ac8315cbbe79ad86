package embrack.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PulseTests {

    /** At 120 quarters a minute a tick comes every 60 s / 120 / 24 = 20.833 ms (MIDI 1.0: 24 clocks a quarter). */
    @ParameterizedTest
    @CsvSource({"120, 20833.333, 0", "120, 20833.333, 1000", "84.5, 29585.799, 1500", "300, 8333.333, 500"})
    void theTempoIsFoundWhateverTheJitter(double tempo, double tickMicros, int jitterMicros) {
        Random random = new Random(7);
        Pulse pulse = Pulse.NONE;
        for (int i = 0; i < 400; i++) {
            long off = jitterMicros == 0 ? 0 : random.nextInt(2 * jitterMicros + 1) - jitterMicros;
            pulse = pulse.with(Math.round(1e9 + i * tickMicros) + off);
        }
        assertThat(pulse.ticks()).hasSize(Pulse.MOST);
        assertThat(pulse.tempo().orElseThrow()).isEqualTo(tempo, within(0.1));
        assertThat(pulse.jitterMicros()).isBetween(jitterMicros * 0.7, jitterMicros * 1.3 + 1);
    }

    @Test
    void aClockThatPausedBeginsAnew() {
        Pulse pulse = Pulse.NONE;
        for (int i = 0; i < 60; i++) {
            pulse = pulse.with(i * 20_833L);
        }
        assertThat(pulse.with(5_000_000).tempo()).isEmpty();
        assertThat(pulse.isRunning(1_500_000)).isTrue();
        assertThat(pulse.isRunning(5_000_000)).isFalse();
    }
}
