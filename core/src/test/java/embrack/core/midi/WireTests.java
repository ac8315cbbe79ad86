package embrack.core.midi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.midi.Wire.RunningStatus;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WireTests {

    /** Source: MIDI 1.0 Detailed Specification, 31 250 baud, 10 bits a byte; running status. */
    @ParameterizedTest
    @CsvSource({
        "1, NOT_USED,  3, 0.960 ms",
        "8, NOT_USED, 24, 7.680 ms",
        "8, USED,     17, 5.440 ms",
    })
    void controlChangesOnOneChannelTakeTheTimeOfTheirBytes(int count, RunningStatus running, int bytes, String time) {
        List<Message> press = IntStream.range(0, count)
                .<Message>mapToObj(i -> new Message.ControlChange(new Channel(2), 40 + i, 127))
                .toList();
        byte[] stream = Wire.stream(press, running);
        assertThat(stream).hasSize(bytes);
        assertThat(Wire.millis(Wire.micros(stream.length))).isEqualTo(time);
    }

    /** Source: as above. A program change has one data byte. */
    @Test
    void aProgramChangeTakesTwoBytes() {
        assertThat(Wire.stream(List.of(new Message.ProgramChange(new Channel(1), 5)), RunningStatus.NOT_USED))
                .hasSize(2);
        assertThat(Wire.millis(Wire.micros(2))).isEqualTo("0.640 ms");
        assertThat(Wire.MICROS_PER_BYTE).isEqualTo(320);
    }

    @Test
    void runningStatusBeginsAnewWithTypeAndChannel() {
        Channel two = new Channel(2);
        List<Message> mixed = List.of(
                new Message.ControlChange(two, 1, 2),
                new Message.ControlChange(two, 3, 4),
                new Message.ProgramChange(two, 5),
                new Message.ControlChange(new Channel(3), 6, 7));
        assertThat(Wire.stream(mixed, RunningStatus.USED)).containsExactly(0xB1, 1, 2, 3, 4, 0xC1, 5, 0xB2, 6, 7);
    }

    @ParameterizedTest
    @CsvSource({"FROM_ONE, 1, 0", "FROM_ONE, 128, 127", "FROM_ZERO, 0, 0", "FROM_ZERO, 127, 127"})
    void programsAreCountedAsTheBoxCounts(ProgramCounting counting, int shown, int wire) {
        assertThat(counting.wire(shown)).isEqualTo(wire);
        assertThat(counting.shown(wire)).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource({
        "FROM_ONE, 0, 'program must be 1 to 128 on this box, was 0'",
        "FROM_ONE, 129, 'program must be 1 to 128 on this box, was 129'",
        "FROM_ZERO, 128, 'program must be 0 to 127 on this box, was 128'",
    })
    void programsThatTheBoxCannotShowAreRefused(ProgramCounting counting, int shown, String message) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> counting.wire(shown))
                .withMessage(message);
    }

    /** Common practice, no source: some boards with two digits show the hundred as a point. */
    @ParameterizedTest
    @CsvSource({
        "PLAIN, 127, 127",
        "TWO_DIGITS, 127, 2.7",
        "TWO_DIGITS, 100, 0.0",
        "TWO_DIGITS, 99, 99",
        "TWO_DIGITS, 0, 0"
    })
    void valuesReadAsTheDisplayShowsThem(ValueDisplay display, int value, String shown) {
        assertThat(display.shown(value)).isEqualTo(shown);
    }
}
