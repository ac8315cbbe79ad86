package embrack.paper.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.MultiFormatReader;
import com.google.zxing.NotFoundException;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

/** Codes are drawn so that a camera reads the address again; read here by the decoder of ZXing. */
class QrCodeTests {

    private static final Pattern CELL = Pattern.compile("M(\\d+) (\\d+)h1v1h-1z");
    private static final int SCALE = 4;

    /** As many bytes as the largest code of medium correction holds: ISO/IEC 18004, table 7, version 40-M. */
    private static final int MOST_BYTES = 2_331;

    @Property(tries = 60)
    void anyAddressIsReadAgain(@ForAll("addresses") String address) throws NotFoundException {
        assertThat(read(QrCode.of(address, QrCode.QUIET))).isEqualTo(address);
    }

    @Provide
    Arbitrary<String> addresses() {
        return Arbitraries.strings()
                .alpha()
                .numeric()
                .withChars("-._~/?=&%")
                .ofMinLength(1)
                .ofMaxLength(220)
                .map(rest -> "https://rigs.example/" + rest);
    }

    /** Squares of 21, 25, 29 ... cells, with as many light ones around as are asked for: ISO/IEC 18004. */
    @Test
    void codesHaveTheSizesOfTheStandardAndAQuietZone() {
        for (int length : new int[] {1, 20, 60, 200, 800, MOST_BYTES}) {
            QrCode code = QrCode.of("a".repeat(length), QrCode.QUIET);
            int cells = code.size() - 2 * QrCode.QUIET;
            assertThat((cells - 21) % 4).as("%d letters", length).isZero();
            assertThat(cells).isBetween(21, 177);
            for (int i = 0; i < code.size(); i++) {
                for (int rim = 0; rim < QrCode.QUIET; rim++) {
                    assertThat(code.isDark(i, rim) || code.isDark(rim, i)).isFalse();
                    assertThat(code.isDark(i, code.size() - 1 - rim) || code.isDark(code.size() - 1 - rim, i))
                            .isFalse();
                }
            }
            int corner = QrCode.QUIET;
            assertThat(List.of(
                            code.isDark(corner, corner),
                            code.isDark(corner + cells - 1, corner),
                            code.isDark(corner, corner + cells - 1)))
                    .containsOnly(true);
            assertThat(code.isDark(-1, 3) || code.isDark(3, code.size())).isFalse();
            assertThat(QrCode.of("a".repeat(length), 0).size()).isEqualTo(cells);
        }
    }

    @Test
    void whatNoCodeHoldsIsRefused() {
        assertThatThrownBy(() -> QrCode.of("a".repeat(MOST_BYTES + 1), 0))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("too long for a code");
    }

    /** Reads what the drawing shows, not what it was drawn from. */
    private static String read(QrCode code) throws NotFoundException {
        int side = code.size() * SCALE;
        int[] pixels = new int[side * side];
        Arrays.fill(pixels, 0xFFFFFF);
        Matcher cell = CELL.matcher(code.path());
        int end = 0;
        while (cell.find()) {
            assertThat(cell.start()).isEqualTo(end);
            end = cell.end();
            int left = Integer.parseInt(cell.group(1)) * SCALE;
            int top = Integer.parseInt(cell.group(2)) * SCALE;
            for (int y = top; y < top + SCALE; y++) {
                Arrays.fill(pixels, y * side + left, y * side + left + SCALE, 0);
            }
        }
        assertThat(end).isEqualTo(code.path().length());
        return new MultiFormatReader()
                .decode(
                        new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(side, side, pixels))),
                        Map.of(
                                DecodeHintType.POSSIBLE_FORMATS,
                                List.of(BarcodeFormat.QR_CODE),
                                DecodeHintType.PURE_BARCODE,
                                true))
                .getText();
    }
}
