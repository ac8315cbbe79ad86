package embrack.core.power;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import java.util.List;

/**
 * What hangs on a port that gives power.
 *
 * @param gives milliamps that it gives
 * @param devices what draws directly from it
 * @param draw milliamps of those, and of what a hub without a supply passes on behind them
 * @param own milliamps of {@code draw} that a hub needs for itself
 */
public record PortLoad(Socket port, int gives, List<DeviceId> devices, int draw, int own) {

    public PortLoad {
        devices = List.copyOf(devices);
    }

    /** Milliamps beyond what the port gives; 0 when it is enough. */
    public int over() {
        return Math.max(0, draw - gives);
    }

    /** As {@link #over}, without what a hub needs for itself. */
    public int overBeforeHub() {
        return Math.max(0, draw - own - gives);
    }
}
