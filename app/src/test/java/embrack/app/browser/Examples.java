package embrack.app.browser;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The example files of the documentation. */
final class Examples {

    private Examples() {}

    static String muteBoard() {
        try {
            return Files.readString(Path.of("../docs/examples/mute-board.json"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
