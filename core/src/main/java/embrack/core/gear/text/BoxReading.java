package embrack.core.gear.text;

import embrack.core.text.Problem;
import java.util.List;
import java.util.Optional;

/**
 * What could be made of the text of a box.
 *
 * @param box the box; empty when any line cannot be read
 * @param problems in the order of the text
 */
public record BoxReading(String text, Optional<Box> box, List<Problem> problems) {

    /** The longest text that is looked into, in characters. */
    public static final int MAX_LENGTH = 20_000;

    public BoxReading {
        problems = problems.stream().sorted().toList();
    }

    /** Reads a text; the language is described in docs/formats.md. */
    public static BoxReading of(String text) {
        return new BoxReader(text).read();
    }
}
