package embrack.files.acn;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.light.Frame;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StreamingAcnTests {

    private static final UUID ID = new UUID(0x0001020304050607L, 0x08090a0b0c0d0e0fL);
    private static final Frame FRAME = frame(Map.of(1, 255, 7, 128, 33, 64, 512, 255));
    private static final DataPacket PACKET = new DataPacket(ID, "Quay rig", 7, 100, 200, false, false, FRAME);

    private static Frame frame(Map<Integer, Integer> slots) {
        byte[] bytes = new byte[512];
        slots.forEach((address, value) -> bytes[address - 1] = value.byteValue());
        return Frame.received(bytes, 0, 512);
    }

    /** A packet of the same content that another implementation made: the npm package sacn, version 4.6.2. */
    private static byte[] reference() throws IOException {
        try (var in =
                Objects.requireNonNull(StreamingAcnTests.class.getResourceAsStream("/streaming-acn/universe-7.hex"))) {
            return HexFormat.of().parseHex(new String(in.readAllBytes(), StandardCharsets.US_ASCII).replace("\n", ""));
        }
    }

    @Test
    void bytesAreThoseOfAnotherImplementation() throws IOException {
        assertThat(HexFormat.of().formatHex(PACKET.bytes()))
                .isEqualTo(HexFormat.of().formatHex(reference()));
        assertThat(PacketReading.of(reference()).packet()).contains(PACKET);
    }

    /** A break of 92 us, a mark of 12 us and 513 slots of 44 us (ANSI E1.11): 22 676 us, 44.1 a second. */
    @Test
    void aFullUniverseTakesItsTime() {
        assertThat(Frame.MIN_MICROS).isEqualTo(22_676);
        assertThat(1e6 / Frame.MIN_MICROS).isBetween(44.0, 44.2);
    }

    @ParameterizedTest(name = "byte {0} set to {1}")
    @CsvSource({
        "0, 1, It is no ACN packet.",
        "4, 66, It is no ACN packet.",
        "21, 8, It is no data packet: vectors 8 and 2.",
        "43, 1, It is no data packet: vectors 4 and 1.",
        "117, 3, It does not set slots one after the other.",
        "122, 2, It does not set slots one after the other.",
        "123, 3, 'It says that 769 values follow, and 513 do.'",
        "125, 221, Its start code is 221; light has 0.",
        "108, 201, 'A priority is 0 to 200, not 201.'",
        "113, 255, 'Universes are counted from 1 to 63999, not 65287.'"
    })
    void whatIsNoFrameIsToldAsSuch(int at, int value, String words) {
        byte[] bytes = PACKET.bytes();
        bytes[at] = (byte) value;
        PacketReading read = PacketReading.of(bytes);
        assertThat(read.packet()).isEmpty();
        assertThat(read.problem()).isEqualTo(words);
    }

    @Property
    boolean whatIsWrittenIsRead(
            @ForAll @IntRange(min = 1, max = 63_999) int universe,
            @ForAll @IntRange(max = 200) int priority,
            @ForAll @IntRange(max = 255) int sequence,
            @ForAll boolean isPreview,
            @ForAll boolean isLast,
            @ForAll @Size(512) byte[] slots) {
        DataPacket packet = new DataPacket(
                ID, "Quay", universe, priority, sequence, isPreview, isLast, Frame.received(slots, 0, 512));
        return PacketReading.of(packet.bytes()).packet().filter(packet::equals).isPresent();
    }

    /** Whatever comes from a network is read without harm; a name is cut between characters. */
    @Property
    void nothingThatComesDoesHarm(
            @ForAll @Size(max = 700) byte[] junk,
            @ForAll @IntRange(max = 637) int cut,
            @ForAll @StringLength(max = 80) String name) {
        assertThat(PacketReading.of(junk).packet()).isEmpty();
        assertThat(PacketReading.of(Arrays.copyOf(PACKET.bytes(), cut)).packet())
                .isEmpty();
        String words = name.replace("\0", "")
                .codePoints()
                .filter(Character::isLetterOrDigit)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
        DataPacket named = new DataPacket(ID, words, 1, 100, 0, false, false, FRAME);
        assertThat(words)
                .startsWith(
                        PacketReading.of(named.bytes()).packet().orElseThrow().source());
    }

    /** Three times, then every 800 ms; what changes goes at once, never sooner than 22 676 us behind the one before. */
    @Test
    void standsStillSeldomAndChangesAtOnce() {
        Source source = new Source(ID, "Quay");
        List<Long> sent = IntStream.range(0, 2_000)
                .mapToObj(ms -> ms * 1_000L)
                .filter(micros -> !source.due(micros, Map.of(1, FRAME)).isEmpty())
                .toList();
        assertThat(sent).containsExactly(0L, 23_000L, 46_000L, 846_000L, 1_646_000L);
        Frame other = frame(Map.of(2, 1));
        List<DataPacket> changed = source.due(2_000_000, Map.of(1, other));
        assertThat(changed).extracting(DataPacket::frame).containsExactly(other);
        assertThat(source.due(2_022_675, Map.of(1, FRAME))).isEmpty();
        assertThat(source.due(2_022_676, Map.of(1, FRAME)))
                .extracting(DataPacket::sequence)
                .containsExactly(6);
        assertThat(source.end())
                .hasSize(3)
                .allSatisfy(last -> assertThat(last.isLast()).isTrue());
    }

    @Test
    void aChangingShowStaysWithinFortyFourFramesASecond() {
        Source source = new Source(ID, "Quay");
        long sent = IntStream.range(0, 10_000)
                .filter(ms -> !source.due(ms * 1_000L, Map.of(1, frame(Map.of(1, ms % 256))))
                        .isEmpty())
                .count();
        assertThat(sent).isBetween(430L, 440L);
    }
}
