package embrack.core.gear;

import embrack.core.level.Nominal;
import java.util.Optional;

/**
 * What passes a socket for sound.
 *
 * @param channels how many sounds side by side, 1 to 64
 * @param level what it sends, or from what to what it takes; empty where that is not known
 */
public record Signal(int channels, Optional<Nominal> level, Phantom phantom) {

    /** The most channels that one socket carries. */
    public static final int MOST = 64;

    public Signal {
        if (channels < 1 || channels > MOST) {
            throw new IllegalArgumentException("a socket carries 1 to %d channels, was %d".formatted(MOST, channels));
        }
    }

    /** What nothing is known of but the shape of the socket. */
    public static Signal of(Connector connector) {
        return new Signal(connector.isStereo() ? 2 : 1, Optional.empty(), Phantom.NONE);
    }
}
