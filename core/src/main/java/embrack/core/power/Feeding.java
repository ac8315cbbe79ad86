package embrack.core.power;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import java.util.Optional;

/**
 * What a device runs from.
 *
 * @param from the port of another device that it runs from; empty when it runs from nothing in the rig
 * @param how in words: "USB", "batteries", "nothing"
 * @param milliamps what it draws, 0 when that is not known
 */
public record Feeding(DeviceId device, Optional<Socket> from, String how, int milliamps) {

    /** What a box without any source runs from. */
    static final String NOTHING = "nothing";

    /** Whether anything powers it. */
    public boolean isFed() {
        return !how.equals(NOTHING);
    }
}
