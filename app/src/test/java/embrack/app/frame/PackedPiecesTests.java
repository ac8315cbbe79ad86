package embrack.app.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;

class PackedPiecesTests {

    /** The reader is that of the JDK, which checks sum and size. */
    @RepeatedTest(60)
    void anyPiecesWithAnythingBetweenThemAreReadBack(RepetitionInfo repetition) throws IOException {
        var random = new Random(repetition.getCurrentRepetition());
        List<byte[]> pieces = new ArrayList<>();
        for (int i = random.nextInt(30); i >= 0; i--) {
            pieces.add(
                    bytes(random, random.nextInt(4) == 0 ? 0 : random.nextInt(random.nextInt(5) == 0 ? 70_000 : 900)));
        }
        var packed = PackedPieces.of(pieces);
        for (int length : new int[] {0, 1, 96, 65_535}) {
            byte[] between = bytes(random, length);
            var whole = new ByteArrayOutputStream();
            for (int i = 0; i < pieces.size(); i++) {
                whole.writeBytes(i == 0 ? new byte[0] : between);
                whole.writeBytes(pieces.get(i));
            }
            assertThat(new GZIPInputStream(new ByteArrayInputStream(packed.with(between))).readAllBytes())
                    .isEqualTo(whole.toByteArray());
        }
    }

    /** Half of them like text, half like noise. */
    private static byte[] bytes(Random random, int length) {
        byte[] bytes = new byte[length];
        random.nextBytes(bytes);
        for (int i = 0; random.nextBoolean() && i < length; i++) {
            bytes[i] = (byte) (97 + bytes[i] % 4);
        }
        return bytes;
    }
}
