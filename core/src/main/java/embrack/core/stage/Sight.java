package embrack.core.stage;

import embrack.core.light.Chase;
import embrack.core.light.Look;
import java.util.Optional;

/**
 * What is seen from a moment of a song on.
 *
 * @param micros from bar 1, microseconds
 * @param look the one that was shown last; empty until one was
 * @param chase the one that runs since then instead, from its first step; empty where none does
 * @param isBlackedOut whether a blackout takes it away
 */
public record Sight(long micros, Optional<Look> look, Optional<Chase> chase, boolean isBlackedOut) {

    /** A look that is shown from a moment on. */
    static Sight of(long micros, Optional<Look> look) {
        return new Sight(micros, look, Optional.empty(), false);
    }

    /** Whether another of that moment shows the same. */
    boolean showsAs(Sight other) {
        return look.equals(other.look) && chase.equals(other.chase) && isBlackedOut == other.isBlackedOut;
    }
}
