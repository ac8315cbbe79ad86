package embrack.paper.drawing;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/** An address as a code that a camera reads: square cells, dark or light. */
public final class QrCode {

    /** Light cells around a code that stands on anything but white. Source: ISO/IEC 18004, the quiet zone. */
    public static final int QUIET = 4;

    private final BitMatrix cells;

    private QrCode(BitMatrix cells) {
        this.cells = cells;
    }

    /**
     * The code of an address.
     *
     * @param quiet light cells around it
     * @throws IllegalArgumentException when the address is too long for one
     */
    public static QrCode of(String address, int quiet) {
        try {
            return new QrCode(new QRCodeWriter()
                    .encode(
                            address,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(
                                    EncodeHintType.MARGIN,
                                    quiet,
                                    EncodeHintType.ERROR_CORRECTION,
                                    ErrorCorrectionLevel.M)));
        } catch (WriterException e) {
            throw new IllegalArgumentException("this address is too long for a code: " + address, e);
        }
    }

    /** Cells in each direction. */
    public int size() {
        return cells.getWidth();
    }

    /** Whether a cell is dark; all outside is light. */
    public boolean isDark(int x, int y) {
        return x >= 0 && y >= 0 && x < size() && y < size() && cells.get(x, y);
    }

    /** The dark cells as the path of a drawing, a cell a unit. */
    public String path() {
        var path = new StringBuilder();
        for (int y = 0; y < size(); y++) {
            for (int x = 0; x < size(); x++) {
                if (isDark(x, y)) {
                    path.append("M%d %dh1v1h-1z".formatted(x, y));
                }
            }
        }
        return path.toString();
    }
}
