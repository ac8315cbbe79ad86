package embrack.app.door;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;

/** An address as a code that a tablet reads from a terminal: dark on light, whatever the terminal's colours. */
final class AddressCard {

    /** Light cells around the code. Source: ISO/IEC 18004, the quiet zone. */
    private static final int QUIET = 4;

    private static final String DARK_ON_LIGHT = "\u001B[30;47m";
    private static final String PLAIN = "\u001B[0m";

    private AddressCard() {}

    public static void main(String[] arguments) {
        new PrintStream(System.out, true, StandardCharsets.UTF_8).print(of(arguments[0]));
    }

    /**
     * The code, two rows of cells in one line of text.
     *
     * @throws IllegalArgumentException when the address is too long for one
     */
    static String of(String address) {
        BitMatrix code = code(address);
        var text = new StringBuilder();
        for (int y = 0; y < code.getHeight(); y += 2) {
            text.append(DARK_ON_LIGHT);
            for (int x = 0; x < code.getWidth(); x++) {
                boolean upper = code.get(x, y);
                boolean lower = y + 1 < code.getHeight() && code.get(x, y + 1);
                text.append(upper ? lower ? '\u2588' : '\u2580' : lower ? '\u2584' : ' ');
            }
            text.append(PLAIN).append('\n');
        }
        return text.toString();
    }

    private static BitMatrix code(String address) {
        try {
            return new QRCodeWriter()
                    .encode(
                            address,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(
                                    EncodeHintType.MARGIN,
                                    QUIET,
                                    EncodeHintType.ERROR_CORRECTION,
                                    ErrorCorrectionLevel.M));
        } catch (WriterException e) {
            throw new IllegalArgumentException("this address is too long for a code: " + address, e);
        }
    }
}
