package embrack.files.midi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.Evening;
import embrack.core.edit.SongEdit;
import embrack.core.plan.Plan;
import embrack.files.plan.PlanFile;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import java.util.function.Consumer;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Files made to do harm: what is kept of them can be read back, the rest is told, and no more is kept than a song can
 * hold.
 */
class HostileMidiTests {

    private static final Plan PLAN = Evening.plan();

    /**
     * Source of the bytes: Standard MIDI Files 1.0 (RP-001): header, one track, an event behind the longest delta time.
     */
    @Test
    void anEventBehindTheLongestTimeIsRefusedWithItsBar() {
        byte[] file = file(
                1,
                out -> out.write(
                        new byte[] {
                            (byte) 0xFF, (byte) 0xFF, (byte) 0xFF, 0x7F, (byte) 0xB0, 7, 9, 0, (byte) 0xFF, 0x2F, 0
                        },
                        0,
                        11));
        assertThat(file).hasSize(33);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> MidiImport.read(file, "Far", PLAN, false))
                .withMessage("The last event of the file comes in bar 67,108,864, and a song has fewer than 9,999 "
                        + "bars. Export the song alone, without what stands far behind it.");
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource
    void whatIsKeptReadsBack(String remark, byte[] file) {
        MidiImport read = MidiImport.read(file, "Flood", PLAN, true);
        assertThat(read.remarks()).anyMatch(said -> said.contains(remark));
        assertReadsBack(read);
    }

    static Stream<Arguments> whatIsKeptReadsBack() {
        return Stream.of(
                Arguments.of(
                        "more than 100,000 messages, as many as are read",
                        file(480, out -> repeat(out, 5_000_000, 0, 7, 9))),
                Arguments.of(
                        "the first 999 were read",
                        file(4, out -> meta(out, 3_000, 1, 0x51, new byte[] {7, (byte) 0xA1, 0x20}))),
                Arguments.of(
                        "the first 999 were read", file(1, out -> meta(out, 3_000, 4, 0x58, new byte[] {4, 2, 24, 8}))),
                Arguments.of(
                        "more than 10,000 meta-events", file(480, out -> meta(out, 20_000, 0, 0x01, new byte[] {65}))),
                Arguments.of(
                        "the first 250 were made sections",
                        file(1, out -> meta(out, 700, 4, 0x06, "tempo 90".getBytes(StandardCharsets.UTF_8)))),
                Arguments.of("too long and left out", file(480, out -> {
                    out.write(0);
                    out.write(0xF0);
                    out.write(0x9F);
                    out.write(0x21);
                    out.write(new byte[4_000], 0, 4_000);
                    out.write(0xF7);
                })));
    }

    /** Sections are called by markers, and the text of a song has words of its own. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "tempo 90",
                "metre 3/4",
                "words: la",
                "at 3: tempo 9",
                "stem Drums: pad",
                "# one",
                "Verse # two",
                "a:b:c",
                "\"quoted",
                "",
                "\t",
                "\u0000\u0001",
                "x, vamp",
                "Strophe"
            })
    void everyMarkerBecomesASection(String marker) {
        assertReadsBack(MidiImport.read(
                file(480, out -> {
                    meta(out, 1, 0, 0x06, marker.getBytes(StandardCharsets.UTF_8));
                    meta(out, 3, 60, 0x06, (marker + " 2").getBytes(StandardCharsets.UTF_8));
                }),
                "Marked",
                PLAN,
                false));
    }

    @Test
    void anyFileIsReadOrRefused() {
        LongStream.range(0, 400).forEach(seed -> anyFileIsReadOrRefused(new Random(seed)));
    }

    private static void anyFileIsReadOrRefused(Random random) {
        byte[] file = file(1 + random.nextInt(960), out -> {
            for (int i = random.nextInt(60); i > 0; i--) {
                out.write(random.nextInt(20) == 0 ? 0xFF : random.nextInt(128));
                switch (random.nextInt(5)) {
                    case 0 ->
                        out.write(
                                new byte[] {
                                    (byte) (0x90 + random.nextInt(16)),
                                    (byte) random.nextInt(128),
                                    (byte) random.nextInt(128)
                                },
                                0,
                                3);
                    case 1 ->
                        out.write(
                                new byte[] {
                                    (byte) 0xFF, 0x58, 4, (byte) random.nextInt(256), (byte) random.nextInt(9), 24, 8
                                },
                                0,
                                7);
                    case 2 ->
                        out.write(
                                new byte[] {
                                    (byte) 0xFF, 0x51, 3, (byte) random.nextInt(99), (byte) random.nextInt(256), 0
                                },
                                0,
                                6);
                    case 3 ->
                        out.write(
                                new byte[] {
                                    (byte) 0xFF, 6, 3, (byte) random.nextInt(256), (byte) random.nextInt(256), 58
                                },
                                0,
                                6);
                    default -> out.write(new byte[] {(byte) 0xC0, (byte) random.nextInt(128)}, 0, 2);
                }
            }
        });
        try {
            assertReadsBack(MidiImport.read(file, "Any", PLAN, random.nextBoolean()));
        } catch (IllegalArgumentException refused) {
            assertThat(refused.getMessage()).matches("(?s)[A-Z].*\\.");
        }
    }

    private static void assertReadsBack(MidiImport read) {
        Plan kept = new SongEdit.ImportSong(read.song()).apply(PLAN);
        assertThat(PlanFile.read(PlanFile.write(kept))).isEqualTo(kept);
    }

    private static byte[] file(int ticksPerQuarter, Consumer<ByteArrayOutputStream> events) {
        var track = new ByteArrayOutputStream();
        events.accept(track);
        return ByteBuffer.allocate(22 + track.size())
                .put("MThd".getBytes(StandardCharsets.US_ASCII))
                .putInt(6)
                .putShort((short) 0)
                .putShort((short) 1)
                .putShort((short) ticksPerQuarter)
                .put("MTrk".getBytes(StandardCharsets.US_ASCII))
                .putInt(track.size())
                .put(track.toByteArray())
                .array();
    }

    /** Control changes with running status. */
    private static void repeat(ByteArrayOutputStream out, int times, int... bytes) {
        out.write(new byte[] {0, (byte) 0xB0, 7, 9}, 0, 4);
        for (int i = 0; i < times; i++) {
            for (int each : bytes) {
                out.write(each);
            }
        }
    }

    private static void meta(ByteArrayOutputStream out, int times, int delta, int type, byte[] data) {
        for (int i = 0; i < times; i++) {
            out.write(delta);
            out.write(0xFF);
            out.write(type);
            out.write(data.length);
            out.write(data, 0, data.length);
        }
    }
}
