package embrack.core.midi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.ShortMessage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class MessageTests {

    private static final List<Integer> EDGES = List.of(0, 1, 63, 64, 126, 127);

    /** Reference: javax.sound.midi of the JDK, with its own constants for the commands. */
    @ParameterizedTest
    @MethodSource("everyChannel")
    void bytesAreThoseOfTheReferenceLibrary(int number) throws InvalidMidiDataException {
        Channel channel = new Channel(number);
        for (int a : EDGES) {
            for (int b : EDGES) {
                assertSame(new Message.NoteOff(channel, a, b), ShortMessage.NOTE_OFF, a, b);
                assertSame(new Message.NoteOn(channel, a, b), ShortMessage.NOTE_ON, a, b);
                assertSame(new Message.PolyPressure(channel, a, b), ShortMessage.POLY_PRESSURE, a, b);
                assertSame(new Message.ControlChange(channel, a, b), ShortMessage.CONTROL_CHANGE, a, b);
                assertSame(new Message.ProgramChange(channel, a), ShortMessage.PROGRAM_CHANGE, a, 0);
                assertSame(new Message.ChannelPressure(channel, a), ShortMessage.CHANNEL_PRESSURE, a, 0);
                assertSame(new Message.PitchBend(channel, b * 128 + a), ShortMessage.PITCH_BEND, a, b);
            }
        }
    }

    private static IntStream everyChannel() {
        return IntStream.rangeClosed(1, 16);
    }

    private static void assertSame(Message.Voice ours, int command, int data1, int data2)
            throws InvalidMidiDataException {
        var reference = new ShortMessage(command, ours.channel().wire(), data1, data2);
        assertThat(ours.bytes())
                .as(ours.toString())
                .isEqualTo(Arrays.copyOf(reference.getMessage(), reference.getLength()));
        assertThat(ours.type().dataBytes()).isEqualTo(reference.getLength() - 1);
    }

    /** Source: MIDI 1.0 Detailed Specification, table I; channel 16 is status nibble F. */
    @ParameterizedTest
    @CsvSource({"2, 18, 127, B1 12 7F", "1, 0, 0, B0 00 00", "16, 7, 64, BF 07 40"})
    void controlChangesReadAsInManuals(int channel, int controller, int value, String hex) {
        assertThat(new Message.ControlChange(new Channel(channel), controller, value).hex())
                .isEqualTo(hex);
    }

    @Test
    void refusesWhatDoesNotFitSevenBits() {
        Channel one = new Channel(1);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Message.ControlChange(one, 128, 0))
                .withMessage("controller must be 0 to 127, was 128");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Message.ControlChange(one, 0, -1))
                .withMessage("value must be 0 to 127, was -1");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Message.ProgramChange(one, 128))
                .withMessage("program must be 0 to 127, was 128");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Message.PitchBend(one, 16_384))
                .withMessage("pitch bend must be 0 to 16383, was 16384");
        Stream.of(0, 17, -1)
                .forEach(bad -> assertThatIllegalArgumentException()
                        .isThrownBy(() -> new Channel(bad))
                        .withMessage("MIDI channel must be 1 to 16, was " + bad));
    }
}
