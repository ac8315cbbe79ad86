package embrack.core.sound;

import embrack.core.gear.Gate;
import embrack.core.rig.DeviceId;
import java.util.OptionalInt;

/** How that stands which decides whether sound passes. */
@FunctionalInterface
public interface Stand {

    /** Everything as open as it goes: what could be heard at any time. */
    Stand OPEN = (device, gate) -> OptionalInt.empty();

    /** The value of a part; empty where nobody knows, which lets sound pass as it came. */
    OptionalInt of(DeviceId device, Gate gate);
}
