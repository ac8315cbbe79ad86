package embrack.core.line;

import embrack.core.rig.DeviceId;
import java.util.Map;
import java.util.TreeMap;

/**
 * At which port each box is heard. One that comes in at two ports, of one computer or of two, is heard at the one that
 * was first; what comes at the other meanwhile is the same once more, and no press of its own.
 */
public record Ears(Map<DeviceId, Ear> ears) {

    /** Nothing was heard yet. */
    public static final Ears NONE = new Ears(Map.of());

    /** A port at which nothing came for so long is given up for another. Common practice, no source. */
    static final long HELD_MICROS = 1_000_000;

    /**
     * Where a box was heard last.
     *
     * @param micros when, in microseconds
     */
    public record Ear(String port, long micros) {}

    public Ears {
        ears = Map.copyOf(ears);
    }

    /** Whether what comes from a box at a port is heard there first. */
    public boolean hears(DeviceId box, String port, long micros) {
        Ear ear = ears.get(box);
        return ear == null || ear.port().equals(port) || micros - ear.micros() > HELD_MICROS;
    }

    /** Something came from a box at a port. */
    public Ears after(DeviceId box, String port, long micros) {
        if (!hears(box, port, micros)) {
            return this;
        }
        Map<DeviceId, Ear> more = new TreeMap<>(ears);
        more.put(box, new Ear(port, micros));
        return new Ears(more);
    }
}
