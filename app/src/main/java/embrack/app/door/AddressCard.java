package embrack.app.door;

import embrack.paper.drawing.QrCode;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;

/** An address as a code that a tablet reads from a terminal: dark on light, whatever the terminal's colours. */
final class AddressCard {

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
        QrCode code = QrCode.of(address, QrCode.QUIET);
        var text = new StringBuilder();
        for (int y = 0; y < code.size(); y += 2) {
            text.append(DARK_ON_LIGHT);
            for (int x = 0; x < code.size(); x++) {
                boolean upper = code.isDark(x, y);
                boolean lower = code.isDark(x, y + 1);
                text.append(upper ? lower ? '\u2588' : '\u2580' : lower ? '\u2584' : ' ');
            }
            text.append(PLAIN).append('\n');
        }
        return text.toString();
    }
}
