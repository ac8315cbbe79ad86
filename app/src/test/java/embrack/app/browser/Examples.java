package embrack.app.browser;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The example files of the documentation. */
final class Examples {

    private Examples() {}

    static String muteBoard() {
        return read("mute-board");
    }

    /** A board that counts, with the songs whose sounds it walks through. */
    static String walk() {
        return read("walk");
    }

    /** The rig of the demo, with its mistakes. */
    static String quayRig() {
        return read("quay-rig");
    }

    private static String read(String name) {
        try {
            return Files.readString(Path.of("../docs/examples/%s.json".formatted(name)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
