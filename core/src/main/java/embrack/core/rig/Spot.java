package embrack.core.rig;

import java.util.Objects;
import java.util.Optional;

/**
 * Where a device is.
 *
 * @param area where it stands; of an app, where its computer stands
 * @param host the computer or tablet that an app lives in; empty for a box, and for an app that lives nowhere yet
 */
public record Spot(Area area, Optional<DeviceId> host) {

    public Spot {
        Objects.requireNonNull(area, "area");
    }

    /** A place of its own. */
    public static Spot in(Area area) {
        return new Spot(area, Optional.empty());
    }
}
