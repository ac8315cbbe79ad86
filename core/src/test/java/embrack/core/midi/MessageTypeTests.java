package embrack.core.midi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatIllegalStateException;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class MessageTypeTests {

    /**
     * Source: MIDI 1.0 Detailed Specification, table I (status bytes), tables V and VI (system messages); from memory.
     */
    @ParameterizedTest
    @CsvSource({
        "NOTE_OFF, 80, 2, true, false",
        "NOTE_ON, 90, 2, true, false",
        "POLY_PRESSURE, A0, 2, true, false",
        "CONTROL_CHANGE, B0, 2, true, false",
        "PROGRAM_CHANGE, C0, 1, true, false",
        "CHANNEL_PRESSURE, D0, 1, true, false",
        "PITCH_BEND, E0, 2, true, false",
        "QUARTER_FRAME, F1, 1, false, false",
        "SONG_POSITION, F2, 2, false, false",
        "SONG_SELECT, F3, 1, false, false",
        "TUNE_REQUEST, F6, 0, false, false",
        "CLOCK, F8, 0, false, true",
        "START, FA, 0, false, true",
        "CONTINUE, FB, 0, false, true",
        "STOP, FC, 0, false, true",
        "ACTIVE_SENSING, FE, 0, false, true",
        "RESET, FF, 0, false, true",
    })
    void statusBytesAndLengthsAreThoseOfTheStandard(
            MessageType type, String status, int dataBytes, boolean channel, boolean realTime) {
        int first = Integer.parseInt(status, 16);
        assertThat(type.status()).isEqualTo(first);
        assertThat(type.dataBytes()).isEqualTo(dataBytes);
        assertThat(type.hasChannel()).isEqualTo(channel);
        assertThat(type.isRealTime()).isEqualTo(realTime);
        IntStream.range(first, first + (channel ? 16 : 1))
                .forEach(s -> assertThat(MessageType.ofStatus(s)).containsExactly(type));
        assertThat(type.status(new Channel(16))).isEqualTo(channel ? first | 0xF : first);
    }

    @Test
    void undefinedBytesBelongToNoType() {
        assertThat(Stream.of(0xF4, 0xF5, 0xF7, 0xF9, 0xFD).map(MessageType::ofStatus))
                .allMatch(List::isEmpty);
        assertThatIllegalStateException().isThrownBy(MessageType.SYSTEM_EXCLUSIVE::dataBytes);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> RealTime.of(MessageType.NOTE_ON))
                .withMessage("NOTE_ON is not a real-time message");
    }

    @ParameterizedTest
    @EnumSource(RealTime.class)
    void realTimeIsOneByte(RealTime message) {
        assertThat(message.bytes()).hasSize(1);
        assertThat(RealTime.of(message.type())).isEqualTo(message);
        assertThat(message.length()).isEqualTo(1);
    }

    @Test
    void exclusiveContentIsKeptToItselfAndChecked() {
        byte[] content = {0x7D, 1, 2};
        SystemExclusive message = SystemExclusive.of(content);
        content[1] = 99;
        message.content()[2] = 99;
        assertThat(message.hex()).isEqualTo("F0 7D 01 02 F7");
        assertThat(message)
                .isEqualTo(SystemExclusive.of(0x7D, 1, 2))
                .hasSameHashCodeAs(SystemExclusive.of(0x7D, 1, 2))
                .isNotEqualTo(SystemExclusive.of(0x7D, 1));
        assertThat(message.at(7)).isEqualTo(128);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> SystemExclusive.of(0x7D, 0x80))
                .withMessage("a byte of a system exclusive message must be 0 to 127, was 128");
        assertThatIllegalArgumentException()
                .isThrownBy(SystemExclusive::of)
                .withMessage("a system exclusive message holds at least the maker's number");
        assertThatIllegalArgumentException().isThrownBy(() -> new SystemMessage.QuarterFrame(8, 0));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new SystemMessage.SongPosition(16_384))
                .withMessage("song position must be 0 to 16383, was 16384");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new SystemMessage.SongSelect(128))
                .withMessage("song must be 0 to 127, was 128");
    }

    /** Messages of all types to channel 1, sent to another. */
    @Test
    void aMessageCanGoToAnotherChannel() {
        Channel one = new Channel(1);
        List<Message.Voice> voices = List.of(
                new Message.NoteOff(one, 1, 2),
                new Message.NoteOn(one, 1, 2),
                new Message.PolyPressure(one, 1, 2),
                new Message.ControlChange(one, 1, 2),
                new Message.ProgramChange(one, 1),
                new Message.ChannelPressure(one, 1),
                new Message.PitchBend(one, 258));
        for (Message.Voice voice : voices) {
            Message.Voice moved = voice.onChannel(new Channel(16));
            assertThat(moved.status()).isEqualTo(voice.status() | 0xF);
            assertThat(moved.onChannel(one)).isEqualTo(voice);
            assertThat(moved.data1()).isEqualTo(voice.data1());
            assertThat(moved.data2()).isEqualTo(voice.data2());
        }
    }
}
