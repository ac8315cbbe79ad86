package embrack.core.midi;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DecoderTests {

    /** Source: MIDI 1.0 Detailed Specification: running status, real time within messages, what ends running status. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "running status            | 90 3C 7F 40 7F            | 90 3C 7F, 90 40 7F",
                "real time between bytes   | 90 F8 3C FA 7F            | F8, FA, 90 3C 7F",
                "real time keeps running   | B0 07 10 F8 07 20         | B0 07 10, F8, B0 07 20",
                "clock inside exclusive    | F0 7D F8 01 F7            | F8, F0 7D 01 F7",
                "one data byte, running    | C1 05 06 07               | C1 05, C1 06, C1 07",
                "song position and select  | F2 10 02 F3 05            | F2 10 02, F3 05",
                "quarter frames            | F1 00 F1 17               | F1 00, F1 17",
                "tune request              | F6 FE                     | F6, FE",
                "bend, middle and top      | E0 00 40 7F 7F            | E0 00 40, E0 7F 7F",
            })
    void readsStreams(String name, String bytes, String messages) {
        Decoded decoded = decode(bytes);
        assertThat(decoded.faults()).isEmpty();
        assertThat(String.join(
                        ", ", decoded.messages().stream().map(Message::hex).toList()))
                .isEqualTo(messages);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "cut off at the end        | 90 3C 7F B0 07            | 90 3C 7F  | byte 3: this CC message "
                        + "has 1 of its 2 data bytes; then the stream ends",
                "broken off by another     | 90 3C C0 05               | C0 05     | byte 0: this note "
                        + "message has 1 of its 2 data bytes; then another message begins",
                "cut off while running     | 90 3C 7F 40               | 90 3C 7F  | byte 3: this note "
                        + "message has 1 of its 2 data bytes; then the stream ends",
                "data without a status     | 12 34 56 C0 01            | C0 01     | byte 0: 12 is a data "
                        + "byte and no status byte says what it belongs to",
                "system ends running       | 90 3C 7F F3 01 40 7F      | 90 3C 7F, F3 01 | byte 5: 40 is a "
                        + "data byte and no status byte says what it belongs to",
                "undefined F4              | F4 90 3C 7F               | 90 3C 7F  | byte 0: F4 is not "
                        + "defined in MIDI 1.0",
                "undefined FD inside       | 90 FD 3C 7F               | 90 3C 7F  | byte 1: FD is not "
                        + "defined in MIDI 1.0",
                "exclusive never ends      | F0 7D 01                  |           | byte 0: this system "
                        + "exclusive message is cut off: no F7 ends it",
                "exclusive broken off      | F0 7D 01 C0 05            | C0 05     | byte 0: this system "
                        + "exclusive message is broken off by C0; F7 was to end it",
                "exclusive empty           | F0 F7                     |           | byte 0: this system "
                        + "exclusive message is empty",
                "end without beginning     | F7 F8                     | F8        | byte 0: F7 ends a "
                        + "system exclusive message that never began",
            })
    void readsWhatCanBeReadAndSaysWhereItBroke(String name, String bytes, String messages, String fault) {
        Decoded decoded = decode(bytes);
        assertThat(String.join(
                        ", ", decoded.messages().stream().map(Message::hex).toList()))
                .isEqualTo(messages == null ? "" : messages);
        assertThat(decoded.faults()).extracting(Object::toString).containsExactly(fault);
    }

    @Test
    void aNoteOfVelocityZeroIsARelease() {
        assertThat(decode("90 3C 00 80 3C 40 90 3C 01").messages())
                .extracting(Message::isRelease)
                .containsExactly(true, true, false);
    }

    /** Reference: javax.sound.midi of the JDK takes every short message that is read here, byte for byte. */
    @Test
    void theReferenceLibraryReadsTheSame() throws InvalidMidiDataException {
        for (int status : IntStream.concat(
                        IntStream.range(0x80, 0xF0),
                        IntStream.of(0xF1, 0xF2, 0xF3, 0xF6, 0xF8, 0xFA, 0xFB, 0xFC, 0xFE, 0xFF))
                .toArray()) {
            for (int data : new int[] {0, 1, 64, 127}) {
                var reference = new ShortMessage(status, data, 127 - data);
                byte[] bytes = Arrays.copyOf(reference.getMessage(), reference.getLength());
                Message read = Decoder.decode(bytes).messages().getFirst();
                assertThat(read.bytes()).isEqualTo(bytes);
                assertThat(read.status()).isEqualTo(reference.getStatus());
            }
        }
    }

    @Test
    void nothingThatComesHangsItOrLosesTheRest() {
        var random = new Random(20_261_125);
        for (int i = 0; i < 2_000; i++) {
            byte[] noise = new byte[random.nextInt(200)];
            random.nextBytes(noise);
            byte[] stream = Arrays.copyOf(noise, noise.length + 4);
            System.arraycopy(new byte[] {(byte) 0xF7, (byte) 0xC4, 0x11, (byte) 0xF8}, 0, stream, noise.length, 4);
            List<Message> messages = Decoder.decode(stream).messages();
            assertThat(messages.subList(messages.size() - 2, messages.size()))
                    .extracting(Message::hex)
                    .containsExactly("C4 11", "F8");
        }
    }

    /**
     * What was recorded with mistakes in it is read as the reference library (javax.sound.midi of the JDK) reads what
     * was recorded without: real time inside messages, bytes without a status, messages that break off.
     */
    @Test
    void aRecordingWithMistakesInItIsReadAsTheReferenceLibraryReadsTheRest() throws Exception {
        for (int seed = 0; seed < 200; seed++) {
            var random = new Random(seed);
            var clean = new ByteArrayOutputStream();
            var broken = new ByteArrayOutputStream();
            int running = 0;
            int mistakes = 0;
            for (int i = 0; i < 60; i++) {
                int status = 0x80 + random.nextInt(0x70);
                int length = status >= 0xC0 && status < 0xE0 ? 1 : 2;
                boolean runs = running != 0 && random.nextBoolean();
                status = runs ? running : status;
                length = runs ? (running >= 0xC0 && running < 0xE0 ? 1 : 2) : length;
                boolean tampered = !runs && random.nextInt(4) == 0;
                if (tampered) {
                    // A tune request ends running status, so that what follows belongs to nothing.
                    broken.writeBytes(new byte[] {(byte) 0xF6, (byte) random.nextInt(128)});
                    broken.write(0x90);
                    broken.write(random.nextInt(128));
                    mistakes += 2;
                }
                clean.write(0);
                for (int at = runs ? 1 : 0; at <= length; at++) {
                    int value = at == 0 ? status : random.nextInt(128);
                    clean.write(value);
                    broken.write(value);
                    if (random.nextInt(5) == 0) {
                        broken.write(0xF8);
                    }
                }
                running = status;
            }
            Decoded read = Decoder.decode(broken.toByteArray());
            assertThat(read.faults()).as("seed %d", seed).hasSize(mistakes);
            assertThat(read.messages().stream()
                            .filter(Message.Voice.class::isInstance)
                            .map(Message::hex)
                            .toList())
                    .as("seed %d", seed)
                    .isEqualTo(reference(clean.toByteArray()));
        }
    }

    /** The messages of a track, as the reference library reads them out of a file (Standard MIDI Files 1.0). */
    private static List<String> reference(byte[] track) throws Exception {
        byte[] end = {0, (byte) 0xFF, 0x2F, 0};
        var file = new ByteArrayOutputStream();
        file.writeBytes(HexFormat.of().parseHex("4d546864000000060000000100604d54726b"));
        file.writeBytes(ByteBuffer.allocate(4).putInt(track.length + end.length).array());
        file.writeBytes(track);
        file.writeBytes(end);
        Track read = MidiSystem.getSequence(new ByteArrayInputStream(file.toByteArray()))
                .getTracks()[0];
        return IntStream.range(0, read.size())
                .mapToObj(i -> read.get(i).getMessage())
                .filter(ShortMessage.class::isInstance)
                .map(message -> HexFormat.ofDelimiter(" ")
                        .withUpperCase()
                        .formatHex(message.getMessage(), 0, message.getLength()))
                .toList();
    }

    private static Decoded decode(String hex) {
        return Decoder.hex(hex);
    }
}
