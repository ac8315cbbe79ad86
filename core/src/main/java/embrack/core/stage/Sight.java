package embrack.core.stage;

import embrack.core.light.Look;
import java.util.Optional;

/**
 * What is seen from a moment of a song on.
 *
 * @param micros from bar 1, microseconds
 * @param look the one that was shown last; empty until one was
 * @param isBlackedOut whether a blackout takes it away
 */
public record Sight(long micros, Optional<Look> look, boolean isBlackedOut) {}
