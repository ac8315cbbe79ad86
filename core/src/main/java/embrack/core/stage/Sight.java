package embrack.core.stage;

import embrack.core.light.Chase;
import embrack.core.light.Look;
import java.util.Optional;

/**
 * What is seen from a moment of a song on.
 *
 * @param micros from bar 1, microseconds
 * @param look the one that was shown last; empty until one was
 * @param running the chase that runs instead; empty where none does
 * @param isBlackedOut whether a blackout takes it away
 */
public record Sight(long micros, Optional<Look> look, Optional<Running> running, boolean isBlackedOut) {

    /** A look that is shown from a moment on. */
    public static Sight of(long micros, Optional<Look> look) {
        return new Sight(micros, look, Optional.empty(), false);
    }

    /** The chase that runs; empty where none does. */
    public Optional<Chase> chase() {
        return running.map(Running::chase);
    }

    /** As this, with a chase that runs on from a moment, microseconds. */
    public Sight running(long from, Running chase) {
        return new Sight(from, look, Optional.of(chase), isBlackedOut);
    }

    /** How long it takes to come in after what was seen before, microseconds; 0 at once. */
    long fadeMicros(Optional<Sight> before) {
        boolean comesIn = running.isEmpty()
                && !isBlackedOut
                && before.filter(sight -> sight.running.isEmpty() && sight.look.equals(look))
                        .isEmpty();
        return comesIn ? look.map(Look::fadeMillis).orElse(0) * 1_000L : 0;
    }

    /** Whether another of that moment shows the same. */
    public boolean showsAs(Sight other) {
        return look.equals(other.look) && chase().equals(other.chase()) && isBlackedOut == other.isBlackedOut;
    }
}
