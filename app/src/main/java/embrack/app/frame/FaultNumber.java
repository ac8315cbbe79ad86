package embrack.app.frame;

import java.util.Locale;
import java.util.concurrent.ThreadLocalRandom;

/** A short number that stands on a page and in the log, so that a fault can be found again. */
final class FaultNumber {

    private FaultNumber() {}

    static String next() {
        return String.format(Locale.ROOT, "%06d", ThreadLocalRandom.current().nextInt(1_000_000));
    }
}
